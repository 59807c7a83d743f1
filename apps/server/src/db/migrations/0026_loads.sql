CREATE TABLE `load_schedules` (
	`load_id` text NOT NULL,
	`number` integer NOT NULL,
	`segments` text NOT NULL,
	`entries` text NOT NULL,
	`created_at` integer NOT NULL,
	PRIMARY KEY(`load_id`, `number`),
	FOREIGN KEY (`load_id`) REFERENCES `loads`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `readings` (
	`load_id` text NOT NULL,
	`channel` text NOT NULL,
	`at` integer NOT NULL,
	`reading_c` real NOT NULL,
	PRIMARY KEY(`load_id`, `channel`, `at`),
	FOREIGN KEY (`load_id`) REFERENCES `loads`(`id`) ON UPDATE no action ON DELETE cascade
) WITHOUT ROWID;
--> statement-breakpoint
CREATE TABLE `uses` (
	`piece_id` text NOT NULL,
	`glass_id` text NOT NULL,
	`mass_kg` real,
	PRIMARY KEY(`piece_id`, `glass_id`),
	FOREIGN KEY (`piece_id`) REFERENCES `pieces`(`id`) ON UPDATE no action ON DELETE cascade
) WITHOUT ROWID;
--> statement-breakpoint
CREATE INDEX `uses_by_glass` ON `uses` (`glass_id`);--> statement-breakpoint
CREATE INDEX `uses_untold` ON `uses` (`piece_id`) WHERE "uses"."mass_kg" is null;--> statement-breakpoint
DROP INDEX `pieces_taking`;--> statement-breakpoint
ALTER TABLE `pieces` DROP COLUMN `takes`;--> statement-breakpoint
ALTER TABLE `loads` ADD `ahead_s` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `loads` ADD `schedule_number` integer;--> statement-breakpoint
ALTER TABLE `loads` ADD `controller_id` text;--> statement-breakpoint
ALTER TABLE `loads` ADD `slot` integer;--> statement-breakpoint
ALTER TABLE `loads` ADD `note` text DEFAULT '' NOT NULL;