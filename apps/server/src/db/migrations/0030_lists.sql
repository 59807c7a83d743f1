CREATE INDEX `firings_counted` ON `firings` (`deleted_at`,`result`,`schedule_id`);--> statement-breakpoint
CREATE INDEX `schedules_by_look` ON `schedules` (`look`,`kiln_id`);--> statement-breakpoint
CREATE INDEX `schedules_look` ON `schedules` (`id`,`look`);