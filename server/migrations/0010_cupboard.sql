CREATE TABLE `materials` (
	`id` varchar(36) NOT NULL,
	`kit_id` varchar(36) NOT NULL,
	`position` int NOT NULL,
	`kind` varchar(20) NOT NULL,
	`name` varchar(80) NOT NULL,
	`pigment` varchar(60) NOT NULL DEFAULT '',
	`masstone` varchar(7),
	`tint_hex` varchar(7),
	`tint_paint` int,
	`tint_white` int,
	`strength` double NOT NULL DEFAULT 1,
	`properties` longtext NOT NULL,
	`version` int NOT NULL DEFAULT 1,
	CONSTRAINT `materials_id` PRIMARY KEY(`id`),
	CONSTRAINT `materials_name` UNIQUE(`kit_id`,`name`),
	CONSTRAINT `materials_strength` CHECK(`materials`.`strength` > 0)
);
--> statement-breakpoint
ALTER TABLE `edits` MODIFY COLUMN `study_id` varchar(36);--> statement-breakpoint
ALTER TABLE `edits` ADD `teacher_id` varchar(36);--> statement-breakpoint
UPDATE `edits` SET `teacher_id` = (SELECT `teacher_id` FROM `studies` WHERE `studies`.`id` = `edits`.`study_id`);--> statement-breakpoint
ALTER TABLE `edits` MODIFY COLUMN `teacher_id` varchar(36) NOT NULL;--> statement-breakpoint
ALTER TABLE `kits` ADD `version` int DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `classes` ADD `archived_at` datetime(3);--> statement-breakpoint
ALTER TABLE `classes` ADD `version` int DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `students` ADD `nth` int DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `students` ADD `left_handed` boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `students` ADD `needs` varchar(300) DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `students` ADD `seat` varchar(20) DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `students` ADD `at_table` varchar(20) DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `students` ADD `left_class` boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `students` ADD `version` int DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `students` ADD CONSTRAINT `students_names` UNIQUE(`class_id`,`first_name`,`initial`,`nth`);--> statement-breakpoint
ALTER TABLE `students` DROP INDEX `students_name`;--> statement-breakpoint
ALTER TABLE `materials` ADD CONSTRAINT `materials_kit_id_kits_id_fk` FOREIGN KEY (`kit_id`) REFERENCES `kits`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `edits` ADD CONSTRAINT `edits_teacher_id_user_id_fk` FOREIGN KEY (`teacher_id`) REFERENCES `user`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `edits_teacher` ON `edits` (`teacher_id`,`study_id`,`id`);--> statement-breakpoint
INSERT IGNORE INTO `materials` (`id`, `kit_id`, `position`, `kind`, `name`, `pigment`, `masstone`, `tint_hex`, `tint_paint`, `tint_white`, `strength`, `properties`) SELECT `paints`.`id`, `kit_id`, `position`, IF(`kits`.`medium` = 'ink', 'ink', 'paint'), `paints`.`name`, `pigment`, `masstone`, `tint_hex`, `tint_paint`, `tint_white`, `strength`, '{}' FROM `paints` INNER JOIN `kits` ON `kits`.`id` = `paints`.`kit_id`;
