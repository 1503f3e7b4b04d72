CREATE TABLE `study_classes` (
	`study_id` varchar(36) NOT NULL,
	`class_id` varchar(36) NOT NULL,
	CONSTRAINT `study_classes_study_id_class_id_pk` PRIMARY KEY(`study_id`,`class_id`)
);
--> statement-breakpoint
ALTER TABLE `user` ADD `theme` enum('auto','day','night') DEFAULT 'auto' NOT NULL;--> statement-breakpoint
ALTER TABLE `materials` ADD `tints` longtext;--> statement-breakpoint
ALTER TABLE `materials` ADD `extra` longtext;--> statement-breakpoint
ALTER TABLE `pieces` ADD `capture` enum('photograph','whole','object') DEFAULT 'photograph' NOT NULL;--> statement-breakpoint
ALTER TABLE `pieces` ADD `sized` boolean DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE `reference_pictures` ADD `work_id` varchar(36);--> statement-breakpoint
ALTER TABLE `works` ADD `left_out_as` longtext;--> statement-breakpoint
ALTER TABLE `works` ADD `part_of` varchar(36);--> statement-breakpoint
ALTER TABLE `works` ADD `part_at` longtext;--> statement-breakpoint
ALTER TABLE `study_classes` ADD CONSTRAINT `study_classes_study_id_studies_id_fk` FOREIGN KEY (`study_id`) REFERENCES `studies`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `study_classes` ADD CONSTRAINT `study_classes_class_id_classes_id_fk` FOREIGN KEY (`class_id`) REFERENCES `classes`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `reference_pictures` ADD CONSTRAINT `reference_pictures_work_id_works_id_fk` FOREIGN KEY (`work_id`) REFERENCES `works`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `works` ADD CONSTRAINT `works_part_of_works_id_fk` FOREIGN KEY (`part_of`) REFERENCES `works`(`id`) ON DELETE cascade ON UPDATE no action;