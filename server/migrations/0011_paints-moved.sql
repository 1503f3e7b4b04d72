DROP TABLE IF EXISTS `paints`;--> statement-breakpoint
ALTER TABLE `kits` DROP COLUMN `medium`;