ALTER TABLE `worked` ADD `planned_on` text;--> statement-breakpoint
ALTER TABLE `worked` ADD `body` text;--> statement-breakpoint
ALTER TABLE `worked` ADD `strips` integer;--> statement-breakpoint
ALTER TABLE `worked` ADD `passes` integer;--> statement-breakpoint
ALTER TABLE `worked` ADD `expected_left` real;--> statement-breakpoint
ALTER TABLE `worked` ADD `hold_shift` real;--> statement-breakpoint
CREATE INDEX `worked_planned_on` ON `worked` (`planned_on`) WHERE planned_on is not null;