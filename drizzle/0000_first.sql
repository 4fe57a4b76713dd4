CREATE TABLE `head_measurements` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`head_id` text NOT NULL,
	`measured_at_ms` integer NOT NULL,
	`circumference_cm` real NOT NULL,
	`density_per_cm2` real,
	`ponytail_circumference_cm` real,
	`strand_diameter_um` real NOT NULL,
	`natural_coil_diameter_mm` real NOT NULL,
	`shrinkage` real NOT NULL,
	`porosity` text NOT NULL,
	`conditions` text NOT NULL,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`head_id`) REFERENCES `heads`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `measurements_by_head` ON `head_measurements` (`head_id`,`measured_at_ms`);--> statement-breakpoint
CREATE TABLE `zone_measurements` (
	`measurement_id` text NOT NULL,
	`studio_id` text NOT NULL,
	`zone` text NOT NULL,
	`stretched_length_cm` real NOT NULL,
	PRIMARY KEY(`measurement_id`, `zone`),
	FOREIGN KEY (`measurement_id`) REFERENCES `head_measurements`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `heads` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`name` text NOT NULL,
	`description` text NOT NULL,
	`notes` text NOT NULL,
	`allergies` text NOT NULL,
	`skin_tone` text NOT NULL,
	`hair_tone` text NOT NULL,
	`revision` integer NOT NULL,
	`created_at_ms` integer NOT NULL,
	`updated_at_ms` integer NOT NULL,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `heads_by_studio` ON `heads` (`studio_id`,`name`);--> statement-breakpoint
CREATE TABLE `plans` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`head_id` text NOT NULL,
	`measurement_id` text NOT NULL,
	`title` text NOT NULL,
	`status` text NOT NULL,
	`brief` text NOT NULL,
	`layer_product_ids` text NOT NULL,
	`revision` integer NOT NULL,
	`created_at_ms` integer NOT NULL,
	`updated_at_ms` integer NOT NULL,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`head_id`) REFERENCES `heads`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`measurement_id`) REFERENCES `head_measurements`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `plans_by_studio` ON `plans` (`studio_id`,`status`,`updated_at_ms`);--> statement-breakpoint
CREATE TABLE `products` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`name` text NOT NULL,
	`role` text NOT NULL,
	`water_share` real,
	`hold` real,
	`weight` real,
	`left_g` real,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `products_by_studio` ON `products` (`studio_id`,`role`);--> statement-breakpoint
CREATE TABLE `dryness_checks` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`set_id` text NOT NULL,
	`section_number` integer NOT NULL,
	`level` text NOT NULL,
	`feel` text NOT NULL,
	`at_ms` integer NOT NULL,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`set_id`) REFERENCES `sets`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `checks_by_set` ON `dryness_checks` (`set_id`,`at_ms`);--> statement-breakpoint
CREATE TABLE `outcomes` (
	`set_id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`last_good_day` integer NOT NULL,
	`reason` text NOT NULL,
	`note` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	FOREIGN KEY (`set_id`) REFERENCES `sets`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `set_events` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`set_id` text NOT NULL,
	`kind` text NOT NULL,
	`section_number` integer,
	`note` text,
	`at_ms` integer NOT NULL,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`set_id`) REFERENCES `sets`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `events_by_set` ON `set_events` (`set_id`,`at_ms`);--> statement-breakpoint
CREATE TABLE `set_sections` (
	`set_id` text NOT NULL,
	`studio_id` text NOT NULL,
	`number` integer NOT NULL,
	`zone` text NOT NULL,
	`side` text NOT NULL,
	`area_cm2` real NOT NULL,
	`hair_count` real NOT NULL,
	`planned_min` real NOT NULL,
	PRIMARY KEY(`set_id`, `number`),
	FOREIGN KEY (`set_id`) REFERENCES `sets`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `sets` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`head_id` text NOT NULL,
	`plan_id` text,
	`measurement_id` text NOT NULL,
	`title` text NOT NULL,
	`brief` text NOT NULL,
	`forecast` text NOT NULL,
	`model_version` text NOT NULL,
	`started_at_ms` integer NOT NULL,
	`installed_at_ms` integer,
	`taken_down_at_ms` integer,
	`ended_at_ms` integer,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`head_id`) REFERENCES `heads`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`plan_id`) REFERENCES `plans`(`id`) ON UPDATE no action ON DELETE set null,
	FOREIGN KEY (`measurement_id`) REFERENCES `head_measurements`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `sets_by_studio` ON `sets` (`studio_id`,`started_at_ms`);--> statement-breakpoint
CREATE INDEX `sets_by_head` ON `sets` (`head_id`,`started_at_ms`);--> statement-breakpoint
CREATE TABLE `wear_days` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`set_id` text NOT NULL,
	`day` integer NOT NULL,
	`definition` real NOT NULL,
	`frizz` real NOT NULL,
	`volume` real NOT NULL,
	`moisture` real NOT NULL,
	`shine` real NOT NULL,
	`night` text NOT NULL,
	`visible_length_cm` real,
	`note` text NOT NULL,
	`revision` integer NOT NULL,
	`updated_at_ms` integer NOT NULL,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`set_id`) REFERENCES `sets`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `one_entry_a_day` ON `wear_days` (`set_id`,`day`);--> statement-breakpoint
CREATE TABLE `studios` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`time_zone` text NOT NULL,
	`created_at_ms` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `tools` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`kind` text NOT NULL,
	`diameter_mm` real NOT NULL,
	`working_length_mm` real NOT NULL,
	`owned` integer NOT NULL,
	`swatch` text NOT NULL,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `tools_by_studio` ON `tools` (`studio_id`,`kind`,`diameter_mm`);