CREATE TABLE `receipts` (
	`key` text PRIMARY KEY NOT NULL,
	`subject` text NOT NULL,
	`taken_at` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `receipts_by_time` ON `receipts` (`taken_at`);