ALTER TABLE `schedules` ADD `shelf_id` text;--> statement-breakpoint
CREATE INDEX `schedules_by_shelf` ON `schedules` (`shelf_id`) WHERE "schedules"."shelf_id" is not null;