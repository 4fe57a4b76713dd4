CREATE TABLE `imported_rows` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`import_id` text NOT NULL,
	`studio_id` text NOT NULL,
	`row_id` text NOT NULL,
	`set_id` text NOT NULL,
	`before` text,
	`revision` integer NOT NULL,
	FOREIGN KEY (`import_id`) REFERENCES `imports`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `imported_rows_by_import` ON `imported_rows` (`import_id`,`row_id`);--> statement-breakpoint
CREATE TABLE `imports` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`table_id` text NOT NULL,
	`file_name` text NOT NULL,
	`begun_at_ms` integer NOT NULL,
	`undone_at_ms` integer,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade
);
