CREATE TABLE `drill_rounds` (
	`id` varchar(36) NOT NULL,
	`study_id` varchar(36) NOT NULL,
	`student_id` varchar(36),
	`who` enum('student','class','oneself') NOT NULL,
	`drill` varchar(20) NOT NULL,
	`answers` longtext NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `drill_rounds_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `motifs` (
	`id` varchar(36) NOT NULL,
	`study_id` varchar(36) NOT NULL,
	`name` varchar(80) NOT NULL,
	`seen` longtext NOT NULL,
	`position` int NOT NULL DEFAULT 0,
	`version` int NOT NULL DEFAULT 1,
	CONSTRAINT `motifs_id` PRIMARY KEY(`id`),
	CONSTRAINT `motifs_name` UNIQUE(`study_id`,`name`)
);
--> statement-breakpoint
CREATE TABLE `shape_lists` (
	`id` varchar(36) NOT NULL,
	`study_id` varchar(36) NOT NULL,
	`work_id` varchar(36) NOT NULL,
	`shapes` longtext NOT NULL,
	`version` int NOT NULL DEFAULT 1,
	CONSTRAINT `shape_lists_id` PRIMARY KEY(`id`),
	CONSTRAINT `shape_lists_work` UNIQUE(`work_id`)
);
--> statement-breakpoint
ALTER TABLE `landmark_sets` ADD `again` longtext;--> statement-breakpoint
ALTER TABLE `studies` ADD `body_rulers` longtext;--> statement-breakpoint
ALTER TABLE `drill_rounds` ADD CONSTRAINT `drill_rounds_study_id_studies_id_fk` FOREIGN KEY (`study_id`) REFERENCES `studies`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `drill_rounds` ADD CONSTRAINT `drill_rounds_student_id_students_id_fk` FOREIGN KEY (`student_id`) REFERENCES `students`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `motifs` ADD CONSTRAINT `motifs_study_id_studies_id_fk` FOREIGN KEY (`study_id`) REFERENCES `studies`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `shape_lists` ADD CONSTRAINT `shape_lists_study_id_studies_id_fk` FOREIGN KEY (`study_id`) REFERENCES `studies`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `shape_lists` ADD CONSTRAINT `shape_lists_work_id_works_id_fk` FOREIGN KEY (`work_id`) REFERENCES `works`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `drill_rounds_study` ON `drill_rounds` (`study_id`,`at`);