CREATE TABLE `client_links` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`plan_id` text NOT NULL,
	`token_hash` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	`expires_at_ms` integer NOT NULL,
	`last_seen_ms` integer,
	`revoked_at_ms` integer,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`plan_id`) REFERENCES `plans`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `links_by_token` ON `client_links` (`token_hash`);--> statement-breakpoint
CREATE INDEX `links_by_plan` ON `client_links` (`plan_id`);--> statement-breakpoint
CREATE TABLE `deeds` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`at_ms` integer NOT NULL,
	`person_id` text,
	`person_name` text,
	`device_id` text,
	`device_name` text,
	`permission` text NOT NULL,
	`kind` text,
	`subject_id` text,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `deeds_by_studio` ON `deeds` (`studio_id`,`at_ms`);--> statement-breakpoint
CREATE INDEX `deeds_by_subject` ON `deeds` (`subject_id`,`at_ms`);--> statement-breakpoint
CREATE TABLE `devices` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`name` text NOT NULL,
	`role` text NOT NULL,
	`token_hash` text NOT NULL,
	`paired_at_ms` integer NOT NULL,
	`last_seen_ms` integer NOT NULL,
	`challenge` text,
	`challenge_until_ms` integer,
	`revoked_at_ms` integer,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `devices_by_token` ON `devices` (`token_hash`);--> statement-breakpoint
CREATE INDEX `devices_by_studio` ON `devices` (`studio_id`,`paired_at_ms`);--> statement-breakpoint
CREATE TABLE `guesses` (
	`key` text PRIMARY KEY NOT NULL,
	`count` integer NOT NULL,
	`until_ms` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `pairing_codes` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`role` text NOT NULL,
	`token_hash` text NOT NULL,
	`typed_hash` text NOT NULL,
	`expires_at_ms` integer NOT NULL,
	`used_at_ms` integer,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `codes_by_token` ON `pairing_codes` (`token_hash`);--> statement-breakpoint
CREATE INDEX `codes_by_typed` ON `pairing_codes` (`typed_hash`);--> statement-breakpoint
CREATE TABLE `passkeys` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`person_id` text NOT NULL,
	`public_key` text NOT NULL,
	`counter` integer NOT NULL,
	`transports` text DEFAULT '[]' NOT NULL,
	`rp_id` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `passkeys_by_person` ON `passkeys` (`person_id`);--> statement-breakpoint
CREATE TABLE `people` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`name` text NOT NULL,
	`role` text NOT NULL,
	`colour` integer DEFAULT 0 NOT NULL,
	`secret_hash` text,
	`display` text DEFAULT '{}' NOT NULL,
	`hand` text,
	`hand_units` text,
	`created_at_ms` integer NOT NULL,
	`revoked_at_ms` integer,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `people_by_studio` ON `people` (`studio_id`,`created_at_ms`);--> statement-breakpoint
CREATE TABLE `sessions` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`person_id` text NOT NULL,
	`device_id` text NOT NULL,
	`token_hash` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	`expires_at_ms` integer NOT NULL,
	`ended_at_ms` integer,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`device_id`) REFERENCES `devices`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `sessions_by_token` ON `sessions` (`token_hash`);