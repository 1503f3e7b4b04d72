ALTER TABLE `pieces` ADD `sharpness` double;--> statement-breakpoint
ALTER TABLE `profiles` ADD `place` varchar(64) DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `profiles` ADD `rung` varchar(12) DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `works` ADD `frame` longtext;--> statement-breakpoint
ALTER TABLE `works` ADD `left_out` longtext;--> statement-breakpoint
ALTER TABLE `works` ADD `place` varchar(64) DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `profiles` ADD CONSTRAINT `profiles_reading` UNIQUE(`picture_id`,`profile_version`,`width_mm`,`place`,`rung`);--> statement-breakpoint
ALTER TABLE `profiles` DROP INDEX `profiles_picture`;
