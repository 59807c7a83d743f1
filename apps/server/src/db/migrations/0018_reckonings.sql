CREATE TABLE `reckonings` (
	`id` text PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`typed` text NOT NULL,
	`told` text NOT NULL,
	`piece_id` text,
	`kept_at` integer NOT NULL,
	FOREIGN KEY (`piece_id`) REFERENCES `pieces`(`id`) ON UPDATE no action ON DELETE set null
);
--> statement-breakpoint
CREATE INDEX `reckonings_by_time` ON `reckonings` (`kept_at`,`id`);