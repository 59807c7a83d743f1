CREATE TABLE `programs` (
	`id` text PRIMARY KEY NOT NULL,
	`controller_id` text NOT NULL,
	`slot` integer NOT NULL,
	`schedule_id` text,
	`rows` text NOT NULL,
	`keyed_at` integer NOT NULL,
	`read_at` integer,
	`slips` integer,
	FOREIGN KEY (`schedule_id`) REFERENCES `schedules`(`id`) ON UPDATE no action ON DELETE set null
);
--> statement-breakpoint
CREATE INDEX `programs_by_slot` ON `programs` (`controller_id`,`slot`,`keyed_at`);--> statement-breakpoint
CREATE INDEX `programs_by_schedule` ON `programs` (`schedule_id`);