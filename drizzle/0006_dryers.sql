CREATE TABLE `dryers` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`air_speed_m_s` real NOT NULL,
	`air_c` real,
	`count` integer NOT NULL,
	`revision` integer DEFAULT 1 NOT NULL,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `dryers_by_studio` ON `dryers` (`studio_id`,`kind`,`name`);--> statement-breakpoint
ALTER TABLE `studios` ADD `hand` text DEFAULT 'usual' NOT NULL;