ALTER TABLE `studio` ADD `length_unit` text DEFAULT 'mm' NOT NULL;--> statement-breakpoint
ALTER TABLE `studio` ADD `mass_unit` text DEFAULT 'g' NOT NULL;