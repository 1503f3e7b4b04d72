CREATE TABLE `edit_pictures` (
	`edit_id` int NOT NULL,
	`picture_id` varchar(36) NOT NULL,
	CONSTRAINT `edit_pictures_edit_id_picture_id_pk` PRIMARY KEY(`edit_id`,`picture_id`)
);
--> statement-breakpoint
ALTER TABLE `jobs` ADD `work_id` varchar(36);--> statement-breakpoint
ALTER TABLE `jobs` ADD `piece_id` varchar(36);--> statement-breakpoint
ALTER TABLE `jobs` ADD `again` boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `jobs` ADD `claims` int DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `jobs` ADD `lost` int DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `jobs` ADD `core` int DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `finding_notes` ADD `version` int DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `edits` ADD `student_id` varchar(36);--> statement-breakpoint
ALTER TABLE `edits` ADD `changes` longtext NOT NULL;--> statement-breakpoint
ALTER TABLE `edits` ADD `passed` boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `landmark_sets` ADD `work_id` varchar(36);--> statement-breakpoint
ALTER TABLE `landmark_sets` ADD `piece_id` varchar(36);--> statement-breakpoint
ALTER TABLE `landmark_sets` ADD `reference_id` varchar(36);--> statement-breakpoint
ALTER TABLE `studies` ADD `version` int DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `edit_pictures` ADD CONSTRAINT `edit_pictures_edit_id_edits_id_fk` FOREIGN KEY (`edit_id`) REFERENCES `edits`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `edit_pictures` ADD CONSTRAINT `edit_pictures_picture_id_pictures_id_fk` FOREIGN KEY (`picture_id`) REFERENCES `pictures`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `jobs` ADD CONSTRAINT `jobs_work_id_works_id_fk` FOREIGN KEY (`work_id`) REFERENCES `works`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `jobs` ADD CONSTRAINT `jobs_piece_id_pieces_id_fk` FOREIGN KEY (`piece_id`) REFERENCES `pieces`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `edits` ADD CONSTRAINT `edits_student_id_students_id_fk` FOREIGN KEY (`student_id`) REFERENCES `students`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `landmark_sets` ADD CONSTRAINT `landmark_sets_work_id_works_id_fk` FOREIGN KEY (`work_id`) REFERENCES `works`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `landmark_sets` ADD CONSTRAINT `landmark_sets_piece_id_pieces_id_fk` FOREIGN KEY (`piece_id`) REFERENCES `pieces`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `landmark_sets` ADD CONSTRAINT `landmark_sets_reference_id_reference_pictures_id_fk` FOREIGN KEY (`reference_id`) REFERENCES `reference_pictures`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `jobs_owner` ON `jobs` (`owner`,`state`);--> statement-breakpoint
CREATE INDEX `pictures_made_from` ON `pictures` (`made_from`,`role`);--> statement-breakpoint
CREATE INDEX `edits_at` ON `edits` (`at`);