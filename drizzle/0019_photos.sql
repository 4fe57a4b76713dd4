CREATE TABLE `photos` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`set_id` text NOT NULL,
	`day` integer NOT NULL,
	`view` text NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`taken_at_ms` integer NOT NULL,
	`thumb` blob NOT NULL,
	`jpeg` blob NOT NULL,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`set_id`) REFERENCES `sets`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `photos_by_day` ON `photos` (`set_id`,`day`);