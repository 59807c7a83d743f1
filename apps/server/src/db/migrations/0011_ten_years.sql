-- What schedules were made from is kept once. Long columns come last: what lists read of a row must not lie behind them.
CREATE TABLE `snapshots` (
	`id` integer PRIMARY KEY NOT NULL,
	`doc` text NOT NULL
);
--> statement-breakpoint
DROP INDEX `pieces_by_change`;--> statement-breakpoint
ALTER TABLE `pieces` ADD `waits` text;--> statement-breakpoint
ALTER TABLE `pieces` ADD `waits_step_id` text;--> statement-breakpoint
CREATE INDEX `pieces_waiting` ON `pieces` (`updated_at`) WHERE "pieces"."waits" is not null;--> statement-breakpoint
CREATE INDEX `pieces_by_change` ON `pieces` (`updated_at`,`id`);--> statement-breakpoint
INSERT INTO `snapshots` (`doc`) SELECT DISTINCT `snapshot` FROM `schedules`;--> statement-breakpoint
CREATE INDEX `snapshots_while_moving` ON `snapshots` (`doc`);--> statement-breakpoint
CREATE TABLE `__new_schedules` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text DEFAULT '' NOT NULL,
	`piece_id` text NOT NULL,
	`step_id` text NOT NULL,
	`parent_id` text,
	`origin` text NOT NULL,
	`snapshot_id` integer NOT NULL,
	`work_c` real NOT NULL,
	`work_s` real NOT NULL,
	`total_s` real NOT NULL,
	`kiln_name` text NOT NULL,
	`kiln_id` text,
	`family_id` text,
	`family_name` text DEFAULT '' NOT NULL,
	`look` text DEFAULT 'fullFuse' NOT NULL,
	`created_at` integer NOT NULL,
	`segments` text NOT NULL,
	`result` text NOT NULL,
	FOREIGN KEY (`piece_id`) REFERENCES `pieces`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`snapshot_id`) REFERENCES `snapshots`(`id`) ON UPDATE no action ON DELETE no action
);--> statement-breakpoint
INSERT INTO `__new_schedules` (`id`, `name`, `piece_id`, `step_id`, `parent_id`, `origin`, `segments`, `result`, `work_c`, `work_s`, `total_s`, `kiln_name`, `kiln_id`, `family_id`, `family_name`, `look`, `created_at`, `snapshot_id`)
	SELECT `id`, `name`, `piece_id`, `step_id`, `parent_id`, `origin`, `segments`, `result`, `work_c`, `work_s`, `total_s`, `kiln_name`, `kiln_id`, `family_id`, `family_name`, `look`, `created_at`, (SELECT `snapshots`.`id` FROM `snapshots` WHERE `snapshots`.`doc` = `schedules`.`snapshot`) FROM `schedules`;--> statement-breakpoint
DROP TABLE `schedules`;--> statement-breakpoint
ALTER TABLE `__new_schedules` RENAME TO `schedules`;--> statement-breakpoint
DROP INDEX `snapshots_while_moving`;--> statement-breakpoint
CREATE INDEX `schedules_by_piece` ON `schedules` (`piece_id`,`created_at`);--> statement-breakpoint
CREATE INDEX `schedules_by_step` ON `schedules` (`step_id`);--> statement-breakpoint
CREATE INDEX `schedules_by_snapshot` ON `schedules` (`snapshot_id`);--> statement-breakpoint
CREATE INDEX `schedules_by_kiln` ON `schedules` (`kiln_id`,`family_id`);--> statement-breakpoint
CREATE TABLE `__new_firings` (
	`id` text PRIMARY KEY NOT NULL,
	`piece_id` text NOT NULL,
	`schedule_id` text NOT NULL,
	`load_id` text NOT NULL,
	`place` text DEFAULT '' NOT NULL,
	`result` text,
	`look_reached` text,
	`known_by` text DEFAULT '' NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`created_at` integer NOT NULL,
	`deleted_at` integer,
	`photos` text DEFAULT '[]' NOT NULL,
	`differences` text DEFAULT '[]' NOT NULL,
	`note` text NOT NULL,
	`as_fired` text,
	`as_fired_result` text,
	FOREIGN KEY (`piece_id`) REFERENCES `pieces`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`schedule_id`) REFERENCES `schedules`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`load_id`) REFERENCES `loads`(`id`) ON UPDATE no action ON DELETE no action
);--> statement-breakpoint
INSERT INTO `__new_firings` (`id`, `piece_id`, `schedule_id`, `load_id`, `place`, `result`, `look_reached`, `known_by`, `version`, `created_at`, `deleted_at`, `photos`, `differences`, `note`, `as_fired`, `as_fired_result`) SELECT `id`, `piece_id`, `schedule_id`, `load_id`, `place`, `result`, `look_reached`, `known_by`, `version`, `created_at`, `deleted_at`, `photos`, `differences`, `note`, `as_fired`, `as_fired_result` FROM `firings`;--> statement-breakpoint
DROP TABLE `firings`;--> statement-breakpoint
ALTER TABLE `__new_firings` RENAME TO `firings`;--> statement-breakpoint
CREATE INDEX `firings_by_load` ON `firings` (`load_id`);--> statement-breakpoint
CREATE INDEX `firings_by_schedule` ON `firings` (`schedule_id`);--> statement-breakpoint
CREATE INDEX `firings_by_piece` ON `firings` (`piece_id`);--> statement-breakpoint
CREATE INDEX `firings_open` ON `firings` (`created_at`) WHERE "firings"."result" is null and "firings"."deleted_at" is null;--> statement-breakpoint
CREATE INDEX `firings_deleted` ON `firings` (`deleted_at`) WHERE "firings"."deleted_at" is not null;