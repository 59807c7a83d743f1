ALTER TABLE `firings` ADD `seen` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `firings` ADD `seen_where` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `firings` ADD `faced` text DEFAULT '{"mark":null,"door":null,"hot":null}' NOT NULL;