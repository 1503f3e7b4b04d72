CREATE TABLE `account` (
	`id` varchar(36) NOT NULL,
	`account_id` varchar(190) NOT NULL,
	`provider_id` varchar(60) NOT NULL,
	`user_id` varchar(36) NOT NULL,
	`access_token` text,
	`refresh_token` text,
	`id_token` text,
	`access_token_expires_at` datetime(3),
	`refresh_token_expires_at` datetime(3),
	`scope` text,
	`password` text,
	`created_at` datetime(3) NOT NULL,
	`updated_at` datetime(3) NOT NULL,
	CONSTRAINT `account_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `rate_limit` (
	`id` varchar(36) NOT NULL,
	`key` varchar(190) NOT NULL,
	`count` int NOT NULL,
	`last_request` bigint NOT NULL,
	CONSTRAINT `rate_limit_id` PRIMARY KEY(`id`),
	CONSTRAINT `rate_limit_key` UNIQUE(`key`)
);
--> statement-breakpoint
CREATE TABLE `session` (
	`id` varchar(36) NOT NULL,
	`user_id` varchar(36) NOT NULL,
	`token` varchar(190) NOT NULL,
	`expires_at` datetime(3) NOT NULL,
	`ip_address` varchar(64),
	`user_agent` text,
	`created_at` datetime(3) NOT NULL,
	`updated_at` datetime(3) NOT NULL,
	CONSTRAINT `session_id` PRIMARY KEY(`id`),
	CONSTRAINT `session_token` UNIQUE(`token`)
);
--> statement-breakpoint
CREATE TABLE `teacher_settings` (
	`user_id` varchar(36) NOT NULL,
	`units` enum('mm','inch') NOT NULL DEFAULT 'mm',
	`spelling` enum('british','american') NOT NULL DEFAULT 'british',
	`paper` enum('A4','Letter') NOT NULL DEFAULT 'A4',
	`time_zone` varchar(60) NOT NULL DEFAULT 'UTC',
	`hand` enum('right','left') NOT NULL DEFAULT 'right',
	CONSTRAINT `teacher_settings_user_id` PRIMARY KEY(`user_id`)
);
--> statement-breakpoint
CREATE TABLE `user` (
	`id` varchar(36) NOT NULL,
	`name` varchar(120) NOT NULL,
	`email` varchar(190) NOT NULL,
	`email_verified` boolean NOT NULL DEFAULT false,
	`image` text,
	`created_at` datetime(3) NOT NULL,
	`updated_at` datetime(3) NOT NULL,
	CONSTRAINT `user_id` PRIMARY KEY(`id`),
	CONSTRAINT `user_email` UNIQUE(`email`)
);
--> statement-breakpoint
CREATE TABLE `verification` (
	`id` varchar(36) NOT NULL,
	`identifier` varchar(190) NOT NULL,
	`value` text NOT NULL,
	`expires_at` datetime(3) NOT NULL,
	`created_at` datetime(3),
	`updated_at` datetime(3),
	CONSTRAINT `verification_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `jobs` (
	`id` varchar(36) NOT NULL,
	`teacher_id` varchar(36) NOT NULL,
	`study_id` varchar(36) NOT NULL DEFAULT '',
	`kind` enum('measure-work','process-piece','compare-piece') NOT NULL,
	`work_key` varchar(120) NOT NULL,
	`payload` longtext NOT NULL,
	`state` enum('queued','running','done','failed','cancelled') NOT NULL DEFAULT 'queued',
	`priority` int NOT NULL DEFAULT 0,
	`attempts` int NOT NULL DEFAULT 0,
	`owner` varchar(60) NOT NULL DEFAULT '',
	`lease_until` datetime(3),
	`told` text NOT NULL,
	`created_at` datetime(3) NOT NULL,
	`finished_at` datetime(3),
	CONSTRAINT `jobs_id` PRIMARY KEY(`id`),
	CONSTRAINT `jobs_key` UNIQUE(`work_key`)
);
--> statement-breakpoint
CREATE TABLE `kits` (
	`id` varchar(36) NOT NULL,
	`teacher_id` varchar(36) NOT NULL,
	`name` varchar(120) NOT NULL,
	`white` varchar(80),
	`medium` enum('gouache','watercolour','acrylic','tempera','ink') NOT NULL DEFAULT 'gouache',
	CONSTRAINT `kits_id` PRIMARY KEY(`id`),
	CONSTRAINT `kits_name` UNIQUE(`teacher_id`,`name`)
);
--> statement-breakpoint
CREATE TABLE `paints` (
	`id` varchar(36) NOT NULL,
	`kit_id` varchar(36) NOT NULL,
	`position` int NOT NULL,
	`name` varchar(80) NOT NULL,
	`pigment` varchar(60) NOT NULL DEFAULT '',
	`masstone` varchar(7) NOT NULL,
	`tint_hex` varchar(7),
	`tint_paint` int,
	`tint_white` int,
	`strength` double NOT NULL DEFAULT 1,
	CONSTRAINT `paints_id` PRIMARY KEY(`id`),
	CONSTRAINT `paints_name` UNIQUE(`kit_id`,`name`),
	CONSTRAINT `paints_strength` CHECK(`paints`.`strength` > 0)
);
--> statement-breakpoint
CREATE TABLE `plan_steps` (
	`id` varchar(36) NOT NULL,
	`plan_id` varchar(36) NOT NULL,
	`position` int NOT NULL,
	`technique` varchar(60) NOT NULL,
	`minutes` int NOT NULL,
	`dry_minutes` int NOT NULL DEFAULT 0,
	`note` text NOT NULL,
	CONSTRAINT `plan_steps_id` PRIMARY KEY(`id`),
	CONSTRAINT `plan_steps_position` UNIQUE(`plan_id`,`position`),
	CONSTRAINT `plan_steps_minutes` CHECK(`plan_steps`.`minutes` >= 0 and `plan_steps`.`dry_minutes` >= 0)
);
--> statement-breakpoint
CREATE TABLE `plans` (
	`id` varchar(36) NOT NULL,
	`study_id` varchar(36) NOT NULL,
	`medium` varchar(60) NOT NULL,
	`minutes_per_period` int NOT NULL,
	`periods` int NOT NULL,
	`class_size` int NOT NULL,
	`settings` longtext NOT NULL,
	`version` int NOT NULL DEFAULT 1,
	CONSTRAINT `plans_id` PRIMARY KEY(`id`),
	CONSTRAINT `plans_study` UNIQUE(`study_id`),
	CONSTRAINT `plans_minutes` CHECK(`plans`.`minutes_per_period` between 10 and 240 and `plans`.`periods` between 1 and 12 and `plans`.`class_size` between 1 and 60)
);
--> statement-breakpoint
CREATE TABLE `blob_chunks` (
	`sha256` varchar(64) NOT NULL,
	`seq` int NOT NULL,
	`data` longblob NOT NULL,
	CONSTRAINT `blob_chunks_sha256_seq_pk` PRIMARY KEY(`sha256`,`seq`)
);
--> statement-breakpoint
CREATE TABLE `blobs` (
	`sha256` varchar(64) NOT NULL,
	`bytes` int NOT NULL,
	`complete` int NOT NULL DEFAULT 0,
	CONSTRAINT `blobs_sha256` PRIMARY KEY(`sha256`)
);
--> statement-breakpoint
CREATE TABLE `pictures` (
	`id` varchar(36) NOT NULL,
	`teacher_id` varchar(36) NOT NULL,
	`sha256` varchar(64) NOT NULL,
	`role` enum('original','upright','preview','rectified') NOT NULL,
	`made_from` varchar(36) NOT NULL DEFAULT '',
	`name` varchar(190) NOT NULL,
	`mime` varchar(40) NOT NULL,
	`width` int NOT NULL,
	`height` int NOT NULL,
	`created_at` datetime(3) NOT NULL,
	CONSTRAINT `pictures_id` PRIMARY KEY(`id`),
	CONSTRAINT `pictures_made` UNIQUE(`teacher_id`,`made_from`,`role`,`sha256`),
	CONSTRAINT `pictures_size` CHECK(`pictures`.`width` > 0 and `pictures`.`height` > 0)
);
--> statement-breakpoint
CREATE TABLE `comparisons` (
	`piece_id` varchar(36) NOT NULL,
	`stamp` varchar(64) NOT NULL,
	`closeness` double NOT NULL,
	`own_invention` double NOT NULL,
	`document` longtext NOT NULL,
	`created_at` datetime(3) NOT NULL,
	CONSTRAINT `comparisons_piece_id` PRIMARY KEY(`piece_id`)
);
--> statement-breakpoint
CREATE TABLE `finding_notes` (
	`piece_id` varchar(36) NOT NULL,
	`feature` varchar(80) NOT NULL,
	`set_aside` boolean NOT NULL DEFAULT false,
	`note` text NOT NULL,
	CONSTRAINT `finding_notes_piece_id_feature_pk` PRIMARY KEY(`piece_id`,`feature`)
);
--> statement-breakpoint
CREATE TABLE `pieces` (
	`id` varchar(36) NOT NULL,
	`study_id` varchar(36) NOT NULL,
	`student_id` varchar(36),
	`maker` varchar(36) NOT NULL DEFAULT '',
	`kind` enum('warm-up','copy','original') NOT NULL,
	`attempt` int NOT NULL,
	`title` varchar(120) NOT NULL DEFAULT '',
	`photo_id` varchar(36) NOT NULL,
	`rectified_id` varchar(36),
	`paper_width_mm` double NOT NULL,
	`paper_height_mm` double NOT NULL,
	`corners` longtext,
	`placed_by_hand` boolean NOT NULL DEFAULT false,
	`state` enum('waiting','ready','no-sheet','failed') NOT NULL DEFAULT 'waiting',
	`told` text NOT NULL,
	`version` int NOT NULL DEFAULT 1,
	`created_at` datetime(3) NOT NULL,
	CONSTRAINT `pieces_id` PRIMARY KEY(`id`),
	CONSTRAINT `pieces_attempt` UNIQUE(`study_id`,`maker`,`kind`,`attempt`),
	CONSTRAINT `pieces_paper` CHECK(`pieces`.`paper_width_mm` > 0 and `pieces`.`paper_height_mm` > 0 and `pieces`.`attempt` >= 1)
);
--> statement-breakpoint
CREATE TABLE `rule_answers` (
	`piece_id` varchar(36) NOT NULL,
	`rule_id` varchar(36) NOT NULL,
	`met` boolean NOT NULL,
	CONSTRAINT `rule_answers_piece_id_rule_id_pk` PRIMARY KEY(`piece_id`,`rule_id`)
);
--> statement-breakpoint
CREATE TABLE `classes` (
	`id` varchar(36) NOT NULL,
	`teacher_id` varchar(36) NOT NULL,
	`name` varchar(80) NOT NULL,
	`school` varchar(120) NOT NULL DEFAULT '',
	`created_at` datetime(3) NOT NULL,
	CONSTRAINT `classes_id` PRIMARY KEY(`id`),
	CONSTRAINT `classes_name` UNIQUE(`teacher_id`,`name`)
);
--> statement-breakpoint
CREATE TABLE `edits` (
	`id` int AUTO_INCREMENT NOT NULL,
	`study_id` varchar(36) NOT NULL,
	`subject` varchar(20) NOT NULL,
	`subject_id` varchar(36) NOT NULL,
	`label` varchar(190) NOT NULL,
	`before` longtext,
	`after` longtext,
	`undone` boolean NOT NULL DEFAULT false,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `edits_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `facts` (
	`id` varchar(36) NOT NULL,
	`work_id` varchar(36) NOT NULL,
	`text` text NOT NULL,
	`source` varchar(190),
	CONSTRAINT `facts_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `landmark_sets` (
	`id` varchar(36) NOT NULL,
	`study_id` varchar(36) NOT NULL,
	`subject` enum('work','piece','reference') NOT NULL,
	`subject_id` varchar(36) NOT NULL,
	`template` varchar(40) NOT NULL,
	`points` longtext NOT NULL,
	`version` int NOT NULL DEFAULT 1,
	`updated_at` datetime(3) NOT NULL,
	CONSTRAINT `landmark_sets_id` PRIMARY KEY(`id`),
	CONSTRAINT `landmark_sets_subject` UNIQUE(`subject`,`subject_id`,`template`)
);
--> statement-breakpoint
CREATE TABLE `pins` (
	`id` varchar(36) NOT NULL,
	`work_id` varchar(36) NOT NULL,
	`patch` longtext NOT NULL,
	`reading` longtext NOT NULL,
	`created_at` datetime(3) NOT NULL,
	CONSTRAINT `pins_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `profiles` (
	`id` varchar(36) NOT NULL,
	`picture_id` varchar(36) NOT NULL,
	`profile_version` int NOT NULL,
	`width_mm` double NOT NULL DEFAULT 0,
	`document` longtext NOT NULL,
	`created_at` datetime(3) NOT NULL,
	CONSTRAINT `profiles_id` PRIMARY KEY(`id`),
	CONSTRAINT `profiles_picture` UNIQUE(`picture_id`,`profile_version`,`width_mm`)
);
--> statement-breakpoint
CREATE TABLE `rules` (
	`id` varchar(36) NOT NULL,
	`study_id` varchar(36) NOT NULL,
	`kind` enum('feature','always','never') NOT NULL,
	`feature` varchar(80) NOT NULL DEFAULT '',
	`sentence` varchar(300) NOT NULL,
	`evidence` varchar(500) NOT NULL DEFAULT '',
	`position` int NOT NULL DEFAULT 0,
	`version` int NOT NULL DEFAULT 1,
	CONSTRAINT `rules_id` PRIMARY KEY(`id`),
	CONSTRAINT `rules_feature` CHECK(`rules`.`kind` <> 'feature' or `rules`.`feature` <> '')
);
--> statement-breakpoint
CREATE TABLE `students` (
	`id` varchar(36) NOT NULL,
	`class_id` varchar(36) NOT NULL,
	`first_name` varchar(40) NOT NULL,
	`initial` varchar(2) NOT NULL DEFAULT '',
	`position` int NOT NULL DEFAULT 0,
	CONSTRAINT `students_id` PRIMARY KEY(`id`),
	CONSTRAINT `students_name` UNIQUE(`class_id`,`first_name`,`initial`)
);
--> statement-breakpoint
CREATE TABLE `studies` (
	`id` varchar(36) NOT NULL,
	`teacher_id` varchar(36) NOT NULL,
	`class_id` varchar(36),
	`title` varchar(120) NOT NULL,
	`master` varchar(120) NOT NULL,
	`kind` enum('master','period') NOT NULL DEFAULT 'master',
	`aim` enum('replica','study','remembered') NOT NULL DEFAULT 'study',
	`medium` varchar(60) NOT NULL DEFAULT 'pen-and-wash',
	`about` text NOT NULL,
	`paper_width_mm` double NOT NULL DEFAULT 297,
	`paper_height_mm` double NOT NULL DEFAULT 210,
	`created_at` datetime(3) NOT NULL,
	`updated_at` datetime(3) NOT NULL,
	CONSTRAINT `studies_id` PRIMARY KEY(`id`),
	CONSTRAINT `studies_paper` CHECK(`studies`.`paper_width_mm` > 0 and `studies`.`paper_height_mm` > 0)
);
--> statement-breakpoint
CREATE TABLE `work_groups` (
	`id` varchar(36) NOT NULL,
	`study_id` varchar(36) NOT NULL,
	`name` varchar(60) NOT NULL,
	`position` int NOT NULL DEFAULT 0,
	CONSTRAINT `work_groups_id` PRIMARY KEY(`id`),
	CONSTRAINT `work_groups_name` UNIQUE(`study_id`,`name`)
);
--> statement-breakpoint
CREATE TABLE `works` (
	`id` varchar(36) NOT NULL,
	`study_id` varchar(36) NOT NULL,
	`group_id` varchar(36),
	`picture_id` varchar(36) NOT NULL,
	`title` varchar(120) NOT NULL,
	`dated` varchar(40) NOT NULL DEFAULT '',
	`width_mm` double,
	`height_mm` double,
	`foil` boolean NOT NULL DEFAULT false,
	`impressions` text NOT NULL,
	`position` int NOT NULL DEFAULT 0,
	`version` int NOT NULL DEFAULT 1,
	CONSTRAINT `works_id` PRIMARY KEY(`id`),
	CONSTRAINT `works_size` CHECK((`works`.`width_mm` is null or `works`.`width_mm` > 0) and (`works`.`height_mm` is null or `works`.`height_mm` > 0))
);
--> statement-breakpoint
ALTER TABLE `account` ADD CONSTRAINT `account_user_id_user_id_fk` FOREIGN KEY (`user_id`) REFERENCES `user`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `session` ADD CONSTRAINT `session_user_id_user_id_fk` FOREIGN KEY (`user_id`) REFERENCES `user`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `teacher_settings` ADD CONSTRAINT `teacher_settings_user_id_user_id_fk` FOREIGN KEY (`user_id`) REFERENCES `user`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `jobs` ADD CONSTRAINT `jobs_teacher_id_user_id_fk` FOREIGN KEY (`teacher_id`) REFERENCES `user`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `kits` ADD CONSTRAINT `kits_teacher_id_user_id_fk` FOREIGN KEY (`teacher_id`) REFERENCES `user`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `paints` ADD CONSTRAINT `paints_kit_id_kits_id_fk` FOREIGN KEY (`kit_id`) REFERENCES `kits`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `plan_steps` ADD CONSTRAINT `plan_steps_plan_id_plans_id_fk` FOREIGN KEY (`plan_id`) REFERENCES `plans`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `plans` ADD CONSTRAINT `plans_study_id_studies_id_fk` FOREIGN KEY (`study_id`) REFERENCES `studies`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `blob_chunks` ADD CONSTRAINT `blob_chunks_sha256_blobs_sha256_fk` FOREIGN KEY (`sha256`) REFERENCES `blobs`(`sha256`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `pictures` ADD CONSTRAINT `pictures_teacher_id_user_id_fk` FOREIGN KEY (`teacher_id`) REFERENCES `user`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `pictures` ADD CONSTRAINT `pictures_sha256_blobs_sha256_fk` FOREIGN KEY (`sha256`) REFERENCES `blobs`(`sha256`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `comparisons` ADD CONSTRAINT `comparisons_piece_id_pieces_id_fk` FOREIGN KEY (`piece_id`) REFERENCES `pieces`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `finding_notes` ADD CONSTRAINT `finding_notes_piece_id_pieces_id_fk` FOREIGN KEY (`piece_id`) REFERENCES `pieces`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `pieces` ADD CONSTRAINT `pieces_study_id_studies_id_fk` FOREIGN KEY (`study_id`) REFERENCES `studies`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `pieces` ADD CONSTRAINT `pieces_student_id_students_id_fk` FOREIGN KEY (`student_id`) REFERENCES `students`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `pieces` ADD CONSTRAINT `pieces_photo_id_pictures_id_fk` FOREIGN KEY (`photo_id`) REFERENCES `pictures`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `pieces` ADD CONSTRAINT `pieces_rectified_id_pictures_id_fk` FOREIGN KEY (`rectified_id`) REFERENCES `pictures`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `rule_answers` ADD CONSTRAINT `rule_answers_piece_id_pieces_id_fk` FOREIGN KEY (`piece_id`) REFERENCES `pieces`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `rule_answers` ADD CONSTRAINT `rule_answers_rule_id_rules_id_fk` FOREIGN KEY (`rule_id`) REFERENCES `rules`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `classes` ADD CONSTRAINT `classes_teacher_id_user_id_fk` FOREIGN KEY (`teacher_id`) REFERENCES `user`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `edits` ADD CONSTRAINT `edits_study_id_studies_id_fk` FOREIGN KEY (`study_id`) REFERENCES `studies`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `facts` ADD CONSTRAINT `facts_work_id_works_id_fk` FOREIGN KEY (`work_id`) REFERENCES `works`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `landmark_sets` ADD CONSTRAINT `landmark_sets_study_id_studies_id_fk` FOREIGN KEY (`study_id`) REFERENCES `studies`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `pins` ADD CONSTRAINT `pins_work_id_works_id_fk` FOREIGN KEY (`work_id`) REFERENCES `works`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `profiles` ADD CONSTRAINT `profiles_picture_id_pictures_id_fk` FOREIGN KEY (`picture_id`) REFERENCES `pictures`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `rules` ADD CONSTRAINT `rules_study_id_studies_id_fk` FOREIGN KEY (`study_id`) REFERENCES `studies`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `students` ADD CONSTRAINT `students_class_id_classes_id_fk` FOREIGN KEY (`class_id`) REFERENCES `classes`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `studies` ADD CONSTRAINT `studies_teacher_id_user_id_fk` FOREIGN KEY (`teacher_id`) REFERENCES `user`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `studies` ADD CONSTRAINT `studies_class_id_classes_id_fk` FOREIGN KEY (`class_id`) REFERENCES `classes`(`id`) ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `work_groups` ADD CONSTRAINT `work_groups_study_id_studies_id_fk` FOREIGN KEY (`study_id`) REFERENCES `studies`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `works` ADD CONSTRAINT `works_study_id_studies_id_fk` FOREIGN KEY (`study_id`) REFERENCES `studies`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `works` ADD CONSTRAINT `works_group_id_work_groups_id_fk` FOREIGN KEY (`group_id`) REFERENCES `work_groups`(`id`) ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `works` ADD CONSTRAINT `works_picture_id_pictures_id_fk` FOREIGN KEY (`picture_id`) REFERENCES `pictures`(`id`) ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `verification_identifier` ON `verification` (`identifier`);--> statement-breakpoint
CREATE INDEX `jobs_ready` ON `jobs` (`state`,`priority`,`created_at`);--> statement-breakpoint
CREATE INDEX `jobs_study` ON `jobs` (`study_id`,`state`);--> statement-breakpoint
CREATE INDEX `pieces_study` ON `pieces` (`study_id`);--> statement-breakpoint
CREATE INDEX `edits_study` ON `edits` (`study_id`,`id`);--> statement-breakpoint
CREATE INDEX `rules_study` ON `rules` (`study_id`);--> statement-breakpoint
CREATE INDEX `studies_teacher` ON `studies` (`teacher_id`);--> statement-breakpoint
CREATE INDEX `works_study` ON `works` (`study_id`);