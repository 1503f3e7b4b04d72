ALTER TABLE `landmark_sets` ADD `name` varchar(60) DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `landmark_sets` ADD `hidden` longtext;--> statement-breakpoint
ALTER TABLE `landmark_sets` DROP INDEX `landmark_sets_work`, ADD CONSTRAINT `landmark_sets_work` UNIQUE(`work_id`,`template`,`name`);--> statement-breakpoint
ALTER TABLE `landmark_sets` DROP INDEX `landmark_sets_piece`, ADD CONSTRAINT `landmark_sets_piece` UNIQUE(`piece_id`,`template`,`name`);--> statement-breakpoint
ALTER TABLE `landmark_sets` DROP INDEX `landmark_sets_reference`, ADD CONSTRAINT `landmark_sets_reference` UNIQUE(`reference_id`,`template`,`name`);
