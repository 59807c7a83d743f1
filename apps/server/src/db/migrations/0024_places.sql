DROP INDEX `programs_by_slot`;--> statement-breakpoint
ALTER TABLE `programs` ADD `place` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `programs` ADD `ahead_s` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `programs` ADD `removed_at` integer;--> statement-breakpoint
UPDATE `programs` SET `place` = (SELECT count(*) FROM `programs` AS `before` WHERE `before`.`keyed_at` < `programs`.`keyed_at` OR (`before`.`keyed_at` = `programs`.`keyed_at` AND `before`.`id` <= `programs`.`id`));--> statement-breakpoint
CREATE INDEX `programs_by_slot` ON `programs` (`controller_id`,`slot`,`place`);