ALTER TABLE `pieces` ADD `takes` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
CREATE INDEX `pieces_taking` ON `pieces` (`id`) WHERE "pieces"."takes" <> '[]';