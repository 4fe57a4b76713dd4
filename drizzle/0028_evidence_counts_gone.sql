DROP TABLE `evidence_changes`;--> statement-breakpoint
DROP INDEX `evidence_by_studio`;--> statement-breakpoint
ALTER TABLE `set_evidence` DROP COLUMN `made_at`;