ALTER TABLE `piece_states` ADD `back` text;--> statement-breakpoint
ALTER TABLE `piece_states` ADD `forth` text;--> statement-breakpoint
ALTER TABLE `pieces` ADD `tags` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `pieces` ADD `finished_at` integer;--> statement-breakpoint
ALTER TABLE `pieces` ADD `away_at` integer;