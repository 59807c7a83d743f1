ALTER TABLE `firings` ADD `marks` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `studio` ADD `changes_first` text DEFAULT 'temperature' NOT NULL;