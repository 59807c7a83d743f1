ALTER TABLE `schedules` ADD `form_id` text;--> statement-breakpoint
CREATE INDEX `schedules_by_form` ON `schedules` (`form_id`) WHERE "schedules"."form_id" is not null;