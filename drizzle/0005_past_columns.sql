CREATE TABLE `imports` (
	`id` text PRIMARY KEY NOT NULL,
	`csv` text NOT NULL,
	`on_date` text NOT NULL,
	`total` integer NOT NULL,
	`taken` integer NOT NULL,
	`at_ms` integer NOT NULL
);
--> statement-breakpoint
ALTER TABLE `charts` ADD `length_mm` real;
--> statement-breakpoint
ALTER TABLE `charts` ADD `looked_at` integer DEFAULT false NOT NULL;
--> statement-breakpoint
ALTER TABLE `worked` ADD `sensitivity` integer DEFAULT 3 NOT NULL;
--> statement-breakpoint
UPDATE `charts` SET
  `length_mm` = CASE WHEN json_valid(`data`) THEN `data` ->> '$.hair.lengthMm' END,
  `looked_at` = coalesce(CASE WHEN json_valid(`data`) THEN `data` ->> '$.confirmed' END, 0);
--> statement-breakpoint
UPDATE `worked` SET `sensitivity` = coalesce(
  (SELECT CASE WHEN json_valid(`consult`) THEN `consult` ->> '$.sensitivity' END FROM `visits` WHERE `visits`.`id` = `worked`.`visit_id`),
  3);
--> statement-breakpoint
CREATE INDEX `charts_past` ON `charts` (`visit_id`,`place`,`zone`,`side`,`length_mm`,`looked_at`);
--> statement-breakpoint
CREATE INDEX `visits_past` ON `visits` (`client_id`,`status`,`ended_as`,`on_date`,`created_at_ms`,`id`);
