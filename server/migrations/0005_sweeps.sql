CREATE INDEX `rate_limit_last` ON `rate_limit` (`last_request`);--> statement-breakpoint
CREATE INDEX `session_expires` ON `session` (`expires_at`);--> statement-breakpoint
CREATE INDEX `pictures_created` ON `pictures` (`created_at`);--> statement-breakpoint
CREATE INDEX `pieces_state` ON `pieces` (`state`);