ALTER TABLE `schedules` ADD `kiln_id` text;--> statement-breakpoint
ALTER TABLE `schedules` ADD `family_id` text;