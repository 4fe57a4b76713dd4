CREATE TABLE `mixes` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`name` text NOT NULL,
	`role` text NOT NULL,
	`parts` text NOT NULL,
	`batch_g` real NOT NULL,
	`keeps_days` integer NOT NULL,
	`notes` text NOT NULL,
	`revision` integer NOT NULL,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `mixes_by_studio` ON `mixes` (`studio_id`,`name`);--> statement-breakpoint
ALTER TABLE `heads` ADD `schools` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `products` ADD `used_since_g` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `products` ADD `weighed_at_ms` integer;--> statement-breakpoint
ALTER TABLE `products` ADD `empty_g` real;--> statement-breakpoint
ALTER TABLE `products` ADD `size_g` real;--> statement-breakpoint
ALTER TABLE `products` ADD `price_minor` integer;--> statement-breakpoint
ALTER TABLE `products` ADD `opened_on` text;--> statement-breakpoint
ALTER TABLE `products` ADD `use_by` text;--> statement-breakpoint
ALTER TABLE `products` ADD `notes` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `products` ADD `ingredients` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `products` ADD `mix_id` text REFERENCES mixes(id) ON DELETE set null;--> statement-breakpoint
ALTER TABLE `products` ADD `revision` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `sets` ADD `cost_minor` integer;--> statement-breakpoint
ALTER TABLE `studios` ADD `currency` text DEFAULT 'EUR' NOT NULL;--> statement-breakpoint
ALTER TABLE `tools` ADD `revision` integer DEFAULT 1 NOT NULL;