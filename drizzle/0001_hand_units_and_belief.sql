ALTER TABLE `products` ADD `has_protein` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `sets` ADD `drying_belief` text;--> statement-breakpoint
ALTER TABLE `studios` ADD `hand_units` text DEFAULT '{}' NOT NULL;