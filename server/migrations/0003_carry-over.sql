-- Written by hand: what hung on its subject by name alone hangs on it by key; each statement may run twice.
UPDATE `landmark_sets` SET `work_id` = `subject_id` WHERE `subject` = 'work' AND `subject_id` IN (SELECT `id` FROM `works`);--> statement-breakpoint
UPDATE `landmark_sets` SET `piece_id` = `subject_id` WHERE `subject` = 'piece' AND `subject_id` IN (SELECT `id` FROM `pieces`);--> statement-breakpoint
UPDATE `landmark_sets` SET `reference_id` = `subject_id` WHERE `subject` = 'reference' AND `subject_id` IN (SELECT `id` FROM `reference_pictures`);--> statement-breakpoint
DELETE FROM `landmark_sets` WHERE `work_id` IS NULL AND `piece_id` IS NULL AND `reference_id` IS NULL;--> statement-breakpoint
DELETE FROM `edits`;--> statement-breakpoint
UPDATE `jobs` SET `work_id` = substring(`work_key`, 14) WHERE `kind` = 'measure-work' AND substring(`work_key`, 14) IN (SELECT `id` FROM `works`);--> statement-breakpoint
UPDATE `jobs` SET `piece_id` = substring(`work_key`, 15) WHERE `kind` <> 'measure-work' AND substring(`work_key`, 15) IN (SELECT `id` FROM `pieces`);--> statement-breakpoint
DELETE FROM `jobs` WHERE (`work_id` IS NULL AND `piece_id` IS NULL) OR `study_id` NOT IN (SELECT `id` FROM `studies`);
