CREATE TABLE `photos` (
	`hash` text PRIMARY KEY NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`created_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `piece_states` (
	`piece_id` text NOT NULL,
	`position` integer NOT NULL,
	`name` text NOT NULL,
	`doc` text NOT NULL,
	`what` text NOT NULL,
	PRIMARY KEY(`piece_id`, `position`),
	FOREIGN KEY (`piece_id`) REFERENCES `pieces`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `strip_tests` (
	`id` text PRIMARY KEY NOT NULL,
	`glass_a` text NOT NULL,
	`glass_b` text NOT NULL,
	`result` text NOT NULL,
	`note` text NOT NULL,
	`tested_at` integer NOT NULL,
	FOREIGN KEY (`glass_a`) REFERENCES `glasses`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`glass_b`) REFERENCES `glasses`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_firings` (
	`id` text PRIMARY KEY NOT NULL,
	`piece_id` text NOT NULL,
	`schedule_id` text NOT NULL,
	`fired_at` integer NOT NULL,
	`zone` text NOT NULL,
	`place` text DEFAULT '' NOT NULL,
	`result` text,
	`look_reached` text,
	`note` text NOT NULL,
	`as_fired` text,
	`as_fired_result` text,
	`photos` text DEFAULT '[]' NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`created_at` integer NOT NULL,
	`deleted_at` integer,
	FOREIGN KEY (`piece_id`) REFERENCES `pieces`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`schedule_id`) REFERENCES `schedules`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_firings`("id", "piece_id", "schedule_id", "fired_at", "zone", "result", "note", "created_at") SELECT "id", "piece_id", "schedule_id", "fired_at", "zone", "result", "note", "created_at" FROM `firings`;--> statement-breakpoint
DROP TABLE `firings`;--> statement-breakpoint
ALTER TABLE `__new_firings` RENAME TO `firings`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `firings_by_time` ON `firings` (`fired_at`);--> statement-breakpoint
CREATE INDEX `firings_by_schedule` ON `firings` (`schedule_id`);--> statement-breakpoint
ALTER TABLE `controllers` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `controllers` ADD `away` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `families` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `families` ADD `away` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `glasses` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `glasses` ADD `away` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `glasses` ADD `forms` text DEFAULT '["sheet","cap","pieces"]' NOT NULL;--> statement-breakpoint
ALTER TABLE `glasses` ADD `contents` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `glasses` ADD `coated` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `kilns` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `kilns` ADD `away` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `pieces` ADD `position` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `pieces` ADD `deleted_at` integer;--> statement-breakpoint
ALTER TABLE `schedules` ADD `name` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `schedules` ADD `family_name` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `schedules` ADD `look` text DEFAULT 'fullFuse' NOT NULL;--> statement-breakpoint
UPDATE `schedules` SET
	`family_name` = json_extract(`snapshot`, '$.familyName'),
	`look` = json_extract(`snapshot`, '$.firing.look'),
	`snapshot` = json_set(`snapshot`, '$.setup', json('{"kind":"bareShelf","paper":false}'));--> statement-breakpoint
UPDATE `pieces` SET `doc` = json_set(`doc`,
	'$.schemaVersion', 2,
	'$.dammed', json('false'),
	'$.layers', (SELECT json_group_array(json_set(`value`, '$.form', 'sheet')) FROM json_each(`pieces`.`doc`, '$.layers')),
	'$.steps', (SELECT json_group_array(json_set(`value`, '$.setup', json('{"kind":"bareShelf","paper":false}'))) FROM json_each(`pieces`.`doc`, '$.steps'))
) WHERE json_extract(`doc`, '$.schemaVersion') = 1;--> statement-breakpoint
INSERT INTO `piece_states` (`piece_id`, `position`, `name`, `doc`, `what`) SELECT `id`, 0, `name`, `doc`, '' FROM `pieces`;
