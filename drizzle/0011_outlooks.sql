CREATE TABLE `outlooks` (
	`client_id` text NOT NULL,
	`zone` text NOT NULL,
	`side` text NOT NULL,
	`visit_id` text NOT NULL,
	`place` integer NOT NULL,
	`last_on` text NOT NULL,
	`family` text NOT NULL,
	`ready_from` text,
	`ready_to` text,
	`rate_factor` real,
	`lag_shift` real,
	PRIMARY KEY(`client_id`, `zone`, `side`),
	FOREIGN KEY (`client_id`) REFERENCES `clients`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`visit_id`) REFERENCES `visits`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `outlooks_ready` ON `outlooks` (`ready_to`,`visit_id`);--> statement-breakpoint
CREATE INDEX `outlooks_visit` ON `outlooks` (`visit_id`,`last_on`);--> statement-breakpoint
CREATE INDEX `outlooks_last` ON `outlooks` (`last_on`);
--> statement-breakpoint
INSERT OR REPLACE INTO `outlooks` (`client_id`, `zone`, `side`, `visit_id`, `place`, `last_on`, `family`, `ready_from`, `ready_to`, `rate_factor`, `lag_shift`) SELECT v.`client_id`, w.`zone`, w.`side`, v.`id`, w.`place`, v.`on_date`, w.`family`, w.`ready_from`, w.`ready_to`, w.`rate_factor`, w.`lag_shift` FROM `worked` w JOIN `visits` v ON v.`id` = w.`visit_id` WHERE w.`product` <> '' AND w.`family` IS NOT NULL AND v.`status` = 'closed' AND v.`ended_as` IS NULL ORDER BY v.`on_date`, v.`created_at_ms`;
