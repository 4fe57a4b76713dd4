CREATE TABLE `head_merges` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`kept_id` text NOT NULL,
	`merged_id` text NOT NULL,
	`moved` text NOT NULL,
	`merged_at_ms` integer NOT NULL,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`kept_id`) REFERENCES `heads`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`merged_id`) REFERENCES `heads`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `merges_by_kept` ON `head_merges` (`kept_id`);--> statement-breakpoint
ALTER TABLE `heads` ADD `archived_at_ms` integer;--> statement-breakpoint
ALTER TABLE `set_events` ADD `sequence` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `set_events` ADD `level` text;--> statement-breakpoint
ALTER TABLE `set_events` ADD `feel` text;--> statement-breakpoint
ALTER TABLE `set_events` ADD `of` text;--> statement-breakpoint
ALTER TABLE `set_events` ADD `to_ms` integer;--> statement-breakpoint
ALTER TABLE `set_events` ADD `device_id` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `set_events` ADD `device_number` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `sets` ADD `layer_product_ids` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `sets` ADD `plan_status_before` text;--> statement-breakpoint
ALTER TABLE `sets` ADD `is_entered_later` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `sets` ADD `cancelled_at_ms` integer;--> statement-breakpoint
ALTER TABLE `studios` ADD `display` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `studios` ADD `is_demo` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `studios` ADD `aside_at_ms` integer;