CREATE TABLE `own_templates` (
	`id` varchar(36) NOT NULL,
	`teacher_id` varchar(36) NOT NULL,
	`name` varchar(80) NOT NULL,
	`template` longtext NOT NULL,
	`version` int NOT NULL DEFAULT 1,
	CONSTRAINT `own_templates_id` PRIMARY KEY(`id`),
	CONSTRAINT `own_templates_name` UNIQUE(`teacher_id`,`name`)
);
--> statement-breakpoint
ALTER TABLE `own_templates` ADD CONSTRAINT `own_templates_teacher_id_user_id_fk` FOREIGN KEY (`teacher_id`) REFERENCES `user`(`id`) ON DELETE cascade ON UPDATE no action;