CREATE TABLE `shelf_items` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`unit` text NOT NULL,
	`pack` integer NOT NULL,
	`price_minor` integer,
	`delivery_days` integer NOT NULL,
	`supplier` text DEFAULT '' NOT NULL,
	`reserve` integer DEFAULT 0 NOT NULL,
	`place` integer NOT NULL,
	`active` integer DEFAULT true NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	CONSTRAINT "shelf_items_kind" CHECK("shelf_items"."kind" in ('product', 'consumable', 'retail')),
	CONSTRAINT "shelf_items_unit" CHECK("shelf_items"."unit" in ('g', 'ml', 'piece', 'pair')),
	CONSTRAINT "shelf_items_pack" CHECK("shelf_items"."pack" > 0 and "shelf_items"."delivery_days" between 0 and 120 and "shelf_items"."reserve" >= 0)
);
--> statement-breakpoint
CREATE TABLE `shelf_lots` (
	`id` text PRIMARY KEY NOT NULL,
	`item_id` text NOT NULL,
	`lot` text NOT NULL,
	`amount` integer NOT NULL,
	`received_on` text NOT NULL,
	`expires_on` text,
	`opened_on` text,
	FOREIGN KEY (`item_id`) REFERENCES `shelf_items`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "shelf_lots_amount" CHECK("shelf_lots"."amount" >= 0)
);
--> statement-breakpoint
CREATE INDEX `shelf_lots_item` ON `shelf_lots` (`item_id`);--> statement-breakpoint
CREATE TABLE `shelf_moves` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`lot_id` text NOT NULL,
	`kind` text NOT NULL,
	`amount` integer NOT NULL,
	`at_ms` integer NOT NULL,
	`person_id` text,
	`visit_id` text,
	FOREIGN KEY (`lot_id`) REFERENCES `shelf_lots`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`visit_id`) REFERENCES `visits`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "shelf_moves_kind" CHECK("shelf_moves"."kind" in ('received', 'poured', 'used', 'sold', 'counted', 'wasted'))
);
--> statement-breakpoint
CREATE INDEX `shelf_moves_lot` ON `shelf_moves` (`lot_id`,`seq`);--> statement-breakpoint
CREATE INDEX `shelf_moves_counted` ON `shelf_moves` (`at_ms`) WHERE kind = 'counted';--> statement-breakpoint
CREATE TABLE `visit_uses` (
	`visit_id` text NOT NULL,
	`item` text NOT NULL,
	`amount` integer NOT NULL,
	`lot` text DEFAULT '' NOT NULL,
	PRIMARY KEY(`visit_id`, `item`, `lot`),
	FOREIGN KEY (`visit_id`) REFERENCES `visits`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `visit_uses_lot` ON `visit_uses` (`lot`);--> statement-breakpoint
CREATE TRIGGER `shelf_moves_no_update` BEFORE UPDATE ON `shelf_moves` BEGIN SELECT RAISE(ABORT, 'shelf moves are append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `shelf_moves_no_delete` BEFORE DELETE ON `shelf_moves` BEGIN SELECT RAISE(ABORT, 'shelf moves are append-only'); END;
