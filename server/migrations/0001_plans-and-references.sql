CREATE TABLE `reference_checks` (
	`reference_id` varchar(36) NOT NULL,
	`rule_id` varchar(36) NOT NULL,
	`done` boolean NOT NULL,
	CONSTRAINT `reference_checks_reference_id_rule_id_pk` PRIMARY KEY(`reference_id`,`rule_id`)
);
--> statement-breakpoint
CREATE TABLE `reference_pictures` (
	`id` varchar(36) NOT NULL,
	`study_id` varchar(36) NOT NULL,
	`student_id` varchar(36),
	`picture_id` varchar(36) NOT NULL,
	`title` varchar(120) NOT NULL,
	`credit` varchar(120) NOT NULL DEFAULT '',
	`strength` double NOT NULL DEFAULT 1,
	`parts` longtext NOT NULL,
	`version` int NOT NULL DEFAULT 1,
	`created_at` datetime(3) NOT NULL,
	CONSTRAINT `reference_pictures_id` PRIMARY KEY(`id`),
	CONSTRAINT `reference_pictures_strength` CHECK(`reference_pictures`.`strength` between 0 and 1)
);
--> statement-breakpoint
ALTER TABLE `plan_steps` DROP CONSTRAINT `plan_steps_minutes`;--> statement-breakpoint
ALTER TABLE `plan_steps` MODIFY COLUMN `minutes` int;--> statement-breakpoint
ALTER TABLE `plan_steps` MODIFY COLUMN `dry_minutes` int;--> statement-breakpoint
ALTER TABLE `reference_checks` ADD CONSTRAINT `reference_checks_reference_id_reference_pictures_id_fk` FOREIGN KEY (`reference_id`) REFERENCES `reference_pictures`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `reference_checks` ADD CONSTRAINT `reference_checks_rule_id_rules_id_fk` FOREIGN KEY (`rule_id`) REFERENCES `rules`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `reference_pictures` ADD CONSTRAINT `reference_pictures_study_id_studies_id_fk` FOREIGN KEY (`study_id`) REFERENCES `studies`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `reference_pictures` ADD CONSTRAINT `reference_pictures_student_id_students_id_fk` FOREIGN KEY (`student_id`) REFERENCES `students`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `reference_pictures` ADD CONSTRAINT `reference_pictures_picture_id_pictures_id_fk` FOREIGN KEY (`picture_id`) REFERENCES `pictures`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `reference_pictures_study` ON `reference_pictures` (`study_id`);--> statement-breakpoint
ALTER TABLE `plan_steps` ADD CONSTRAINT `plan_steps_minutes` CHECK ((`plan_steps`.`minutes` is null or `plan_steps`.`minutes` > 0) and (`plan_steps`.`dry_minutes` is null or `plan_steps`.`dry_minutes` >= 0));