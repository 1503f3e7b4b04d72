CREATE TABLE `lesson_runs` (
	`id` varchar(36) NOT NULL,
	`study_id` varchar(36) NOT NULL,
	`period` int NOT NULL,
	`turns` longtext NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `lesson_runs_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `own_steps` (
	`id` varchar(36) NOT NULL,
	`teacher_id` varchar(36) NOT NULL,
	`name` varchar(80) NOT NULL,
	`step` longtext NOT NULL,
	`version` int NOT NULL DEFAULT 1,
	CONSTRAINT `own_steps_id` PRIMARY KEY(`id`),
	CONSTRAINT `own_steps_name` UNIQUE(`teacher_id`,`name`)
);
--> statement-breakpoint
ALTER TABLE `plan_steps` ADD `own` longtext;--> statement-breakpoint
ALTER TABLE `plan_steps` ADD `taken` varchar(80);--> statement-breakpoint
ALTER TABLE `plan_steps` ADD `kept` longtext;--> statement-breakpoint
ALTER TABLE `plan_steps` ADD `picture_id` varchar(36);--> statement-breakpoint
ALTER TABLE `lesson_runs` ADD CONSTRAINT `lesson_runs_study_id_studies_id_fk` FOREIGN KEY (`study_id`) REFERENCES `studies`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `own_steps` ADD CONSTRAINT `own_steps_teacher_id_user_id_fk` FOREIGN KEY (`teacher_id`) REFERENCES `user`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `lesson_runs_study` ON `lesson_runs` (`study_id`,`at`);--> statement-breakpoint
ALTER TABLE `plan_steps` ADD CONSTRAINT `plan_steps_picture_id_pictures_id_fk` FOREIGN KEY (`picture_id`) REFERENCES `pictures`(`id`) ON DELETE no action ON UPDATE no action;