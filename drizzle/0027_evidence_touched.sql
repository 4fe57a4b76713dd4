CREATE TABLE `evidence_touched` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`at` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `evidence_touched_in_order` ON `evidence_touched` (`studio_id`,`at`);
--> statement-breakpoint
DROP TRIGGER evidence_gone;
--> statement-breakpoint
DROP TRIGGER evidence_of_new_set;
--> statement-breakpoint
DROP TRIGGER evidence_of_set;
--> statement-breakpoint
DROP TRIGGER evidence_of_new_day;
--> statement-breakpoint
DROP TRIGGER evidence_of_day;
--> statement-breakpoint
DROP TRIGGER evidence_of_gone_day;
--> statement-breakpoint
DROP TRIGGER evidence_of_new_end;
--> statement-breakpoint
DROP TRIGGER evidence_of_end;
--> statement-breakpoint
DROP TRIGGER evidence_of_gone_end;
--> statement-breakpoint
DROP TRIGGER evidence_of_event;
--> statement-breakpoint
DROP TRIGGER evidence_of_care;
--> statement-breakpoint
DROP TRIGGER evidence_of_moved_care;
--> statement-breakpoint
DROP TRIGGER evidence_of_gone_care;
--> statement-breakpoint
INSERT INTO evidence_touched (id, studio_id, at) SELECT id, studio_id, row_number() OVER (PARTITION BY studio_id ORDER BY started_at_ms) FROM sets;
--> statement-breakpoint
CREATE TRIGGER evidence_made AFTER INSERT ON set_evidence BEGIN
	INSERT INTO evidence_touched (id, studio_id, at) VALUES (new.set_id, new.studio_id, (SELECT coalesce(max(at), 0) + 1 FROM evidence_touched WHERE studio_id = new.studio_id)) ON CONFLICT (id) DO UPDATE SET at = excluded.at;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_made_anew AFTER UPDATE ON set_evidence BEGIN
	INSERT INTO evidence_touched (id, studio_id, at) VALUES (new.set_id, new.studio_id, (SELECT coalesce(max(at), 0) + 1 FROM evidence_touched WHERE studio_id = new.studio_id)) ON CONFLICT (id) DO UPDATE SET at = excluded.at;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_of_new_set AFTER INSERT ON sets BEGIN
	INSERT INTO evidence_touched (id, studio_id, at) VALUES (new.id, new.studio_id, (SELECT coalesce(max(at), 0) + 1 FROM evidence_touched WHERE studio_id = new.studio_id)) ON CONFLICT (id) DO UPDATE SET at = excluded.at;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_of_set AFTER UPDATE ON sets BEGIN
	DELETE FROM set_evidence WHERE set_id = new.id;
	INSERT INTO evidence_touched (id, studio_id, at) VALUES (new.id, new.studio_id, (SELECT coalesce(max(at), 0) + 1 FROM evidence_touched WHERE studio_id = new.studio_id)) ON CONFLICT (id) DO UPDATE SET at = excluded.at;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_of_gone_set AFTER DELETE ON sets BEGIN
	INSERT INTO evidence_touched (id, studio_id, at) VALUES (old.id, old.studio_id, (SELECT coalesce(max(at), 0) + 1 FROM evidence_touched WHERE studio_id = old.studio_id)) ON CONFLICT (id) DO UPDATE SET at = excluded.at;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_of_new_day AFTER INSERT ON wear_days BEGIN
	DELETE FROM set_evidence WHERE set_id = new.set_id;
	INSERT INTO evidence_touched (id, studio_id, at) VALUES (new.set_id, new.studio_id, (SELECT coalesce(max(at), 0) + 1 FROM evidence_touched WHERE studio_id = new.studio_id)) ON CONFLICT (id) DO UPDATE SET at = excluded.at;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_of_day AFTER UPDATE ON wear_days BEGIN
	DELETE FROM set_evidence WHERE set_id = new.set_id;
	INSERT INTO evidence_touched (id, studio_id, at) VALUES (new.set_id, new.studio_id, (SELECT coalesce(max(at), 0) + 1 FROM evidence_touched WHERE studio_id = new.studio_id)) ON CONFLICT (id) DO UPDATE SET at = excluded.at;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_of_gone_day AFTER DELETE ON wear_days BEGIN
	DELETE FROM set_evidence WHERE set_id = old.set_id;
	INSERT INTO evidence_touched (id, studio_id, at) VALUES (old.set_id, old.studio_id, (SELECT coalesce(max(at), 0) + 1 FROM evidence_touched WHERE studio_id = old.studio_id)) ON CONFLICT (id) DO UPDATE SET at = excluded.at;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_of_new_end AFTER INSERT ON outcomes BEGIN
	DELETE FROM set_evidence WHERE set_id = new.set_id;
	INSERT INTO evidence_touched (id, studio_id, at) VALUES (new.set_id, new.studio_id, (SELECT coalesce(max(at), 0) + 1 FROM evidence_touched WHERE studio_id = new.studio_id)) ON CONFLICT (id) DO UPDATE SET at = excluded.at;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_of_end AFTER UPDATE ON outcomes BEGIN
	DELETE FROM set_evidence WHERE set_id = new.set_id;
	INSERT INTO evidence_touched (id, studio_id, at) VALUES (new.set_id, new.studio_id, (SELECT coalesce(max(at), 0) + 1 FROM evidence_touched WHERE studio_id = new.studio_id)) ON CONFLICT (id) DO UPDATE SET at = excluded.at;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_of_gone_end AFTER DELETE ON outcomes BEGIN
	DELETE FROM set_evidence WHERE set_id = old.set_id;
	INSERT INTO evidence_touched (id, studio_id, at) VALUES (old.set_id, old.studio_id, (SELECT coalesce(max(at), 0) + 1 FROM evidence_touched WHERE studio_id = old.studio_id)) ON CONFLICT (id) DO UPDATE SET at = excluded.at;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_of_event AFTER INSERT ON set_events BEGIN
	DELETE FROM set_evidence WHERE set_id = new.set_id;
	INSERT INTO evidence_touched (id, studio_id, at) VALUES (new.set_id, new.studio_id, (SELECT coalesce(max(at), 0) + 1 FROM evidence_touched WHERE studio_id = new.studio_id)) ON CONFLICT (id) DO UPDATE SET at = excluded.at;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_of_care AFTER INSERT ON care_log BEGIN
	INSERT INTO evidence_touched (id, studio_id, at) VALUES (new.head_id, new.studio_id, (SELECT coalesce(max(at), 0) + 1 FROM evidence_touched WHERE studio_id = new.studio_id)) ON CONFLICT (id) DO UPDATE SET at = excluded.at;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_of_moved_care AFTER UPDATE ON care_log BEGIN
	INSERT INTO evidence_touched (id, studio_id, at) VALUES (new.head_id, new.studio_id, (SELECT coalesce(max(at), 0) + 1 FROM evidence_touched WHERE studio_id = new.studio_id)) ON CONFLICT (id) DO UPDATE SET at = excluded.at;
END;
--> statement-breakpoint
CREATE TRIGGER evidence_of_gone_care AFTER DELETE ON care_log BEGIN
	INSERT INTO evidence_touched (id, studio_id, at) VALUES (old.head_id, old.studio_id, (SELECT coalesce(max(at), 0) + 1 FROM evidence_touched WHERE studio_id = old.studio_id)) ON CONFLICT (id) DO UPDATE SET at = excluded.at;
END;
