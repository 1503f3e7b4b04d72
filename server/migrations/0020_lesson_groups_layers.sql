ALTER TABLE `plan_steps` ADD `for_group` varchar(8) DEFAULT 'both' NOT NULL;--> statement-breakpoint
ALTER TABLE `plan_steps` ADD `laying` longtext;--> statement-breakpoint
ALTER TABLE `plan_steps` ADD `built` boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `studies` ADD `led` boolean DEFAULT false NOT NULL;