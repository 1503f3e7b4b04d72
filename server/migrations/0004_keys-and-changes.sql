ALTER TABLE `landmark_sets` DROP INDEX `landmark_sets_subject`;--> statement-breakpoint
ALTER TABLE `jobs` MODIFY COLUMN `study_id` varchar(36) NOT NULL;--> statement-breakpoint
ALTER TABLE `landmark_sets` ADD CONSTRAINT `landmark_sets_work` UNIQUE(`work_id`,`template`);--> statement-breakpoint
ALTER TABLE `landmark_sets` ADD CONSTRAINT `landmark_sets_piece` UNIQUE(`piece_id`,`template`);--> statement-breakpoint
ALTER TABLE `landmark_sets` ADD CONSTRAINT `landmark_sets_reference` UNIQUE(`reference_id`,`template`);--> statement-breakpoint
ALTER TABLE `landmark_sets` ADD CONSTRAINT `landmark_sets_one` CHECK ((`landmark_sets`.`work_id` is not null) + (`landmark_sets`.`piece_id` is not null) + (`landmark_sets`.`reference_id` is not null) = 1);--> statement-breakpoint
ALTER TABLE `jobs` ADD CONSTRAINT `jobs_study_id_studies_id_fk` FOREIGN KEY (`study_id`) REFERENCES `studies`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `edits` DROP COLUMN `before`;--> statement-breakpoint
ALTER TABLE `edits` DROP COLUMN `after`;--> statement-breakpoint
ALTER TABLE `jobs` DROP COLUMN `payload`;--> statement-breakpoint
ALTER TABLE `landmark_sets` DROP COLUMN `subject`;--> statement-breakpoint
ALTER TABLE `landmark_sets` DROP COLUMN `subject_id`;