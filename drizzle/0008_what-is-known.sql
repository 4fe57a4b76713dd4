ALTER TABLE `head_measurements` ADD `zone_coil_mm` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `head_measurements` ADD `not_known` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `heads` ADD `likes` text DEFAULT '[]' NOT NULL;