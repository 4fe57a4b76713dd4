-- Custom SQL migration file: rows of the log brought into the server's order, checks made events, products of sets kept.
INSERT INTO `set_events` (`id`, `studio_id`, `set_id`, `kind`, `section_number`, `note`, `at_ms`, `level`, `feel`)
SELECT `id`, `studio_id`, `set_id`, 'felt', `section_number`, NULL, `at_ms`, `level`, `feel` FROM `dryness_checks`
WHERE `id` NOT IN (SELECT `id` FROM `set_events`);
--> statement-breakpoint
UPDATE `set_events` SET `sequence` = `ordered`.`place` FROM (
  SELECT `id`, row_number() OVER (PARTITION BY `set_id` ORDER BY `at_ms`, rowid) AS `place` FROM `set_events`
) AS `ordered` WHERE `ordered`.`id` = `set_events`.`id`;
--> statement-breakpoint
UPDATE `sets` SET `layer_product_ids` = coalesce(
  (SELECT `layer_product_ids` FROM `plans` WHERE `plans`.`id` = `sets`.`plan_id`), '[]'
);
--> statement-breakpoint
INSERT INTO `products` (`id`, `studio_id`, `name`, `role`, `left_g`, `used_since_g`, `mix_id`, `revision`)
SELECT 'mix-' || `id`, `studio_id`, `name`, `role`, 0, 0, `id`, 1 FROM `mixes`
WHERE `id` NOT IN (SELECT `mix_id` FROM `products` WHERE `mix_id` IS NOT NULL);
