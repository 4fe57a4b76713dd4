PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_outcomes` (
	`set_id` text NOT NULL,
	`studio_id` text NOT NULL,
	`half` text DEFAULT 'whole' NOT NULL,
	`last_good_day` integer NOT NULL,
	`reason` text NOT NULL,
	`would_have_gone_on` integer,
	`note` text NOT NULL,
	`recalled` text,
	`created_at_ms` integer NOT NULL,
	PRIMARY KEY(`set_id`, `half`),
	FOREIGN KEY (`set_id`) REFERENCES `sets`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
INSERT INTO `__new_outcomes`("set_id", "studio_id", "last_good_day", "reason", "note", "created_at_ms") SELECT "set_id", "studio_id", "last_good_day", "reason", "note", "created_at_ms" FROM `outcomes`;--> statement-breakpoint
DROP TABLE `outcomes`;--> statement-breakpoint
ALTER TABLE `__new_outcomes` RENAME TO `outcomes`;--> statement-breakpoint
PRAGMA foreign_keys=ON;