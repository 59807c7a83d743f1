CREATE INDEX `pieces_by_made` ON `pieces` (`created_at`,`id`);--> statement-breakpoint
CREATE INDEX `pieces_by_name` ON `pieces` ("name" collate nocase,`id`);--> statement-breakpoint
CREATE INDEX `pieces_by_filing` ON `pieces` (`deleted_at`,`away_at`,`finished_at`);--> statement-breakpoint
CREATE INDEX `pieces_tagged` ON `pieces` (`tags`,`deleted_at`,`away_at`) WHERE "pieces"."tags" <> '[]';