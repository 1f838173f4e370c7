ALTER TABLE `shelf_moves` ADD `about` integer;--> statement-breakpoint
CREATE INDEX `shelf_moves_about` ON `shelf_moves` (`about`) WHERE about is not null;