CREATE TABLE `calendar_events` (
	`uid` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`date` text NOT NULL,
	`summary` text NOT NULL,
	`sequence` integer NOT NULL,
	`is_cancelled` integer NOT NULL,
	`changed_at_ms` integer NOT NULL,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `calendar_by_studio` ON `calendar_events` (`studio_id`);--> statement-breakpoint
CREATE TABLE `care_log` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`head_id` text NOT NULL,
	`kind` text NOT NULL,
	`date` text NOT NULL,
	`cut_mm` real,
	`note` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`head_id`) REFERENCES `heads`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `care_by_head` ON `care_log` (`head_id`,`date`);--> statement-breakpoint
CREATE TABLE `take_home_diaries` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`set_id` text NOT NULL,
	`signing_key` text NOT NULL,
	`made_at_ms` integer NOT NULL,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`set_id`) REFERENCES `sets`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `one_diary_a_set` ON `take_home_diaries` (`set_id`);--> statement-breakpoint
ALTER TABLE `studios` ADD `trim_weeks` integer DEFAULT 12 NOT NULL;--> statement-breakpoint
ALTER TABLE `studios` ADD `calendar_key` text;