DROP INDEX `sets_by_takedown`;--> statement-breakpoint
CREATE INDEX `sets_by_end` ON `sets` (`studio_id`,`cancelled_at_ms`,`ended_at_ms`,`started_at_ms`);