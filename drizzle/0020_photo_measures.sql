CREATE TABLE `photo_measures` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`set_id` text NOT NULL,
	`photo_id` text,
	`day` integer NOT NULL,
	`measure` text NOT NULL,
	`zone` text,
	`value` real NOT NULL,
	`sigma` real NOT NULL,
	`worse` text NOT NULL,
	`measured_at_ms` integer NOT NULL,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`set_id`) REFERENCES `sets`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`photo_id`) REFERENCES `photos`(`id`) ON UPDATE no action ON DELETE set null
);
--> statement-breakpoint
CREATE INDEX `photo_measures_by_day` ON `photo_measures` (`set_id`,`day`);--> statement-breakpoint
ALTER TABLE `photos` ADD `focal_35_mm` real;