CREATE TABLE `loads` (
	`id` text PRIMARY KEY NOT NULL,
	`kiln_id` text,
	`kiln_name` text NOT NULL,
	`planned_at` integer,
	`started_at` integer,
	`opened_at` integer,
	`at` integer NOT NULL,
	`zone` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`created_at` integer NOT NULL,
	CONSTRAINT "load_has_a_start" CHECK("loads"."at" = coalesce("loads"."started_at", "loads"."planned_at"))
);
--> statement-breakpoint
CREATE INDEX `loads_by_time` ON `loads` (`at`);--> statement-breakpoint
CREATE INDEX `loads_by_kiln` ON `loads` (`kiln_id`,`at`);--> statement-breakpoint
INSERT INTO `loads` (`id`, `kiln_id`, `kiln_name`, `started_at`, `at`, `zone`, `created_at`)
SELECT
	substr(f.`id`, 1, 14) || '8' || substr(f.`id`, 16),
	coalesce(
		(SELECT k.`id` FROM `kilns` k WHERE k.`name` = s.`kiln_name` ORDER BY k.`id` LIMIT 1),
		(SELECT json_extract(step.value, '$.kilnId') FROM `pieces` p, json_each(p.`doc`, '$.steps') step WHERE p.`id` = f.`piece_id` AND json_extract(step.value, '$.id') = s.`step_id` LIMIT 1)
	),
	s.`kiln_name`, f.`fired_at`, f.`fired_at`, f.`zone`, f.`created_at`
FROM `firings` f JOIN `schedules` s ON s.`id` = f.`schedule_id`;
--> statement-breakpoint
CREATE TABLE `__new_firings` (
	`id` text PRIMARY KEY NOT NULL,
	`piece_id` text NOT NULL,
	`schedule_id` text NOT NULL,
	`load_id` text NOT NULL,
	`place` text DEFAULT '' NOT NULL,
	`result` text,
	`look_reached` text,
	`note` text NOT NULL,
	`as_fired` text,
	`as_fired_result` text,
	`photos` text DEFAULT '[]' NOT NULL,
	`differences` text DEFAULT '[]' NOT NULL,
	`known_by` text DEFAULT '' NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`created_at` integer NOT NULL,
	`deleted_at` integer,
	FOREIGN KEY (`piece_id`) REFERENCES `pieces`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`schedule_id`) REFERENCES `schedules`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`load_id`) REFERENCES `loads`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_firings` (`id`, `piece_id`, `schedule_id`, `load_id`, `place`, `result`, `look_reached`, `note`, `as_fired`, `as_fired_result`, `photos`, `version`, `created_at`, `deleted_at`)
SELECT `id`, `piece_id`, `schedule_id`, substr(`id`, 1, 14) || '8' || substr(`id`, 16), `place`, `result`, `look_reached`, `note`, `as_fired`, `as_fired_result`, `photos`, `version`, `created_at`, `deleted_at` FROM `firings`;
--> statement-breakpoint
DROP TABLE `firings`;--> statement-breakpoint
ALTER TABLE `__new_firings` RENAME TO `firings`;--> statement-breakpoint
CREATE INDEX `firings_by_load` ON `firings` (`load_id`);--> statement-breakpoint
CREATE INDEX `firings_by_schedule` ON `firings` (`schedule_id`);
