DROP INDEX `pieces_by_filing`;--> statement-breakpoint
DROP INDEX `pieces_tagged`;--> statement-breakpoint
ALTER TABLE `pieces` ADD `pattern_at` integer;--> statement-breakpoint
CREATE INDEX `pieces_by_filing` ON `pieces` (`deleted_at`,`away_at`,`pattern_at`,`finished_at`);--> statement-breakpoint
CREATE INDEX `pieces_tagged` ON `pieces` (`tags`,`deleted_at`,`away_at`,`pattern_at`) WHERE "pieces"."tags" <> '[]';