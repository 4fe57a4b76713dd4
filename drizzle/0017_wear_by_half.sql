CREATE TABLE `wear_day_history` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`wear_day_id` text NOT NULL,
	`entry` text NOT NULL,
	`rated_by` text,
	`source` text NOT NULL,
	`replaced_at_ms` integer NOT NULL,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`wear_day_id`) REFERENCES `wear_days`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `history_by_day` ON `wear_day_history` (`wear_day_id`);--> statement-breakpoint
PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_wear_days` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`set_id` text NOT NULL,
	`day` integer NOT NULL,
	`half` text DEFAULT 'whole' NOT NULL,
	`definition` real,
	`frizz` real,
	`volume` real,
	`moisture` real,
	`shine` real,
	`hold` real,
	`marks` text DEFAULT '{}' NOT NULL,
	`night` text,
	`done` text DEFAULT '{"deeds":[],"redone":null,"worn":null}' NOT NULL,
	`weather` text,
	`visible_cm` text DEFAULT '{}' NOT NULL,
	`note` text NOT NULL,
	`rated_by` text,
	`source` text DEFAULT 'studio' NOT NULL,
	`revision` integer NOT NULL,
	`updated_at_ms` integer NOT NULL,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`set_id`) REFERENCES `sets`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
INSERT INTO `__new_wear_days`("id", "studio_id", "set_id", "day", "definition", "frizz", "volume", "moisture", "shine", "night", "visible_cm", "note", "revision", "updated_at_ms") SELECT "id", "studio_id", "set_id", "day", "definition", "frizz", "volume", "moisture", "shine", "night", CASE WHEN "visible_length_cm" IS NULL THEN '{}' ELSE json_object('crown', "visible_length_cm") END, "note", "revision", "updated_at_ms" FROM `wear_days`;--> statement-breakpoint
DROP TABLE `wear_days`;--> statement-breakpoint
ALTER TABLE `__new_wear_days` RENAME TO `wear_days`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE UNIQUE INDEX `one_entry_a_half_a_day` ON `wear_days` (`set_id`,`day`,`half`);