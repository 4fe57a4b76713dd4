DROP TABLE `dryness_checks`;--> statement-breakpoint
DROP INDEX `events_by_set`;--> statement-breakpoint
CREATE UNIQUE INDEX `events_in_order` ON `set_events` (`set_id`,`sequence`);