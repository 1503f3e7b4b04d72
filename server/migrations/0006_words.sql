ALTER TABLE `edits` MODIFY COLUMN `label` text NOT NULL;--> statement-breakpoint
ALTER TABLE `teacher_settings` ADD `language` varchar(20);--> statement-breakpoint
ALTER TABLE `rules` ADD `said` longtext;