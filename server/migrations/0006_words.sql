ALTER TABLE `edits` MODIFY COLUMN `label` text NOT NULL;--> statement-breakpoint
ALTER TABLE `user` ADD `units` enum('mm','inch') DEFAULT 'mm' NOT NULL;--> statement-breakpoint
ALTER TABLE `user` ADD `spelling` enum('british','american') DEFAULT 'british' NOT NULL;--> statement-breakpoint
ALTER TABLE `user` ADD `paper` enum('A4','Letter') DEFAULT 'A4' NOT NULL;--> statement-breakpoint
ALTER TABLE `user` ADD `hand` enum('right','left') DEFAULT 'right' NOT NULL;--> statement-breakpoint
ALTER TABLE `user` ADD `time_zone` varchar(60) DEFAULT 'UTC' NOT NULL;--> statement-breakpoint
ALTER TABLE `user` ADD `language` varchar(20);--> statement-breakpoint
UPDATE `user` JOIN `teacher_settings` ON `teacher_settings`.`user_id` = `user`.`id` SET `user`.`units` = `teacher_settings`.`units`, `user`.`spelling` = `teacher_settings`.`spelling`, `user`.`paper` = `teacher_settings`.`paper`, `user`.`hand` = `teacher_settings`.`hand`, `user`.`time_zone` = `teacher_settings`.`time_zone`;--> statement-breakpoint
DROP TABLE IF EXISTS `teacher_settings`;--> statement-breakpoint
ALTER TABLE `rules` ADD `said` longtext;--> statement-breakpoint
-- The log names columns as the code does; a quotation mark inside a text is escaped there, so only names match.
UPDATE `edits` SET `changes` = REPLACE(`changes`, '"told":', '"messages":');
