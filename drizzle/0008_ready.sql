ALTER TABLE `worked` ADD `family` text;--> statement-breakpoint
ALTER TABLE `worked` ADD `ready_from` text;--> statement-breakpoint
ALTER TABLE `worked` ADD `ready_to` text;--> statement-breakpoint
ALTER TABLE `worked` ADD `rate_factor` real;--> statement-breakpoint
ALTER TABLE `worked` ADD `lag_shift` real;