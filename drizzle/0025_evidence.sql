CREATE TABLE `evidence_changes` (
	`studio_id` text PRIMARY KEY NOT NULL,
	`count` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `fault_findings` (
	`set_id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`symptoms` text DEFAULT '{}' NOT NULL,
	`told` text DEFAULT '{}' NOT NULL,
	`answers` text DEFAULT '{}' NOT NULL,
	`revision` integer NOT NULL,
	`updated_at_ms` integer NOT NULL,
	FOREIGN KEY (`set_id`) REFERENCES `sets`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `set_evidence` (
	`set_id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`seen` text NOT NULL,
	`made_at` integer NOT NULL,
	FOREIGN KEY (`set_id`) REFERENCES `sets`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `evidence_by_studio` ON `set_evidence` (`studio_id`,`made_at`);--> statement-breakpoint
CREATE TABLE `studio_learning` (
	`studio_id` text PRIMARY KEY NOT NULL,
	`fitted` text DEFAULT '{}' NOT NULL,
	`fitted_sets` integer DEFAULT 0 NOT NULL,
	`fitted_at_ms` integer,
	`corrections` text DEFAULT '{}' NOT NULL,
	`noticeable` real DEFAULT 1 NOT NULL,
	FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TRIGGER evidence_gone AFTER DELETE ON set_evidence BEGIN
	INSERT INTO evidence_changes (studio_id, count) VALUES (old.studio_id, 1) ON CONFLICT (studio_id) DO UPDATE SET count = count + 1;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_of_new_set AFTER INSERT ON sets BEGIN
	INSERT INTO evidence_changes (studio_id, count) VALUES (new.studio_id, 1) ON CONFLICT (studio_id) DO UPDATE SET count = count + 1;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_of_set AFTER UPDATE ON sets BEGIN
	DELETE FROM set_evidence WHERE set_id = new.id;
	INSERT INTO evidence_changes (studio_id, count) VALUES (new.studio_id, 1) ON CONFLICT (studio_id) DO UPDATE SET count = count + 1;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_of_new_day AFTER INSERT ON wear_days BEGIN
	DELETE FROM set_evidence WHERE set_id = new.set_id;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_of_day AFTER UPDATE ON wear_days BEGIN
	DELETE FROM set_evidence WHERE set_id = new.set_id;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_of_gone_day AFTER DELETE ON wear_days BEGIN
	DELETE FROM set_evidence WHERE set_id = old.set_id;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_of_new_end AFTER INSERT ON outcomes BEGIN
	DELETE FROM set_evidence WHERE set_id = new.set_id;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_of_end AFTER UPDATE ON outcomes BEGIN
	DELETE FROM set_evidence WHERE set_id = new.set_id;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_of_gone_end AFTER DELETE ON outcomes BEGIN
	DELETE FROM set_evidence WHERE set_id = old.set_id;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_of_event AFTER INSERT ON set_events BEGIN
	DELETE FROM set_evidence WHERE set_id = new.set_id;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_of_care AFTER INSERT ON care_log BEGIN
	INSERT INTO evidence_changes (studio_id, count) VALUES (new.studio_id, 1) ON CONFLICT (studio_id) DO UPDATE SET count = count + 1;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_of_moved_care AFTER UPDATE ON care_log BEGIN
	INSERT INTO evidence_changes (studio_id, count) VALUES (new.studio_id, 1) ON CONFLICT (studio_id) DO UPDATE SET count = count + 1;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_of_gone_care AFTER DELETE ON care_log BEGIN
	INSERT INTO evidence_changes (studio_id, count) VALUES (old.studio_id, 1) ON CONFLICT (studio_id) DO UPDATE SET count = count + 1;
END;
