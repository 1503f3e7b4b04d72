ALTER TABLE `studies` ADD `other_media` longtext;--> statement-breakpoint
ALTER TABLE `studies` ADD `archived_at` datetime(3);