-- All that can be found is in the index of words: records of the shelves ('r' and an id), what was reckoned and kept ('c'), and of
-- pieces their tags, of firings what was noted of their load. The terms are the words that there are, to forgive slips by.
DROP TRIGGER `words_of_new_piece`;--> statement-breakpoint
DROP TRIGGER `words_of_named_piece`;--> statement-breakpoint
DROP VIEW `firing_words`;--> statement-breakpoint
CREATE VIEW `firing_words` AS
	SELECT f.`id`, f.`piece_id`, f.`load_id`, p.`name` || ' ' || f.`note` || ' ' || f.`place` || ' ' || s.`kiln_name` || ' ' || s.`family_name` || ' ' || l.`note` AS `words`
	FROM `firings` f JOIN `pieces` p ON p.`id` = f.`piece_id` JOIN `schedules` s ON s.`id` = f.`schedule_id` JOIN `loads` l ON l.`id` = f.`load_id`;--> statement-breakpoint
CREATE VIEW `record_words` AS
	SELECT r.`id`, r.`kind` || ' ' || coalesce((
		SELECT group_concat(j.`atom`, ' ') FROM json_tree(r.`doc`) j WHERE j.`type` = 'text' AND j.`key` IN ('name', 'source', 'note', 'material', 'kind')
	), '') AS `words`
	FROM `records` r;--> statement-breakpoint
CREATE VIRTUAL TABLE `search_terms` USING fts5vocab(`search_words`, `row`);--> statement-breakpoint
UPDATE `search_words` SET `words` = w.`words` FROM (
	SELECT k.`docid`, p.`name` || ' ' || p.`tags` AS `words` FROM `pieces` p JOIN `search_keys` k ON k.`id` = 'p' || p.`id` WHERE p.`tags` <> '[]'
) AS w WHERE `search_words`.`rowid` = w.`docid`;--> statement-breakpoint
UPDATE `search_words` SET `words` = w.`words` FROM (
	SELECT k.`docid`, f.`words` FROM `firing_words` f JOIN `search_keys` k ON k.`id` = 'f' || f.`id` JOIN `loads` l ON l.`id` = f.`load_id` WHERE l.`note` <> ''
) AS w WHERE `search_words`.`rowid` = w.`docid`;--> statement-breakpoint
INSERT INTO `search_keys` (`id`) SELECT 'r' || `id` FROM `records` UNION ALL SELECT 'c' || `id` FROM `reckonings`;--> statement-breakpoint
INSERT INTO `search_words` (`rowid`, `words`) SELECT k.`docid`, w.`words` FROM `record_words` w JOIN `search_keys` k ON k.`id` = 'r' || w.`id`;--> statement-breakpoint
INSERT INTO `search_words` (`rowid`, `words`) SELECT k.`docid`, c.`kind` || ' ' || c.`told` FROM `reckonings` c JOIN `search_keys` k ON k.`id` = 'c' || c.`id`;--> statement-breakpoint
CREATE TRIGGER `words_of_new_piece` AFTER INSERT ON `pieces` BEGIN
	INSERT INTO `search_keys` (`id`) VALUES ('p' || new.`id`);
	INSERT INTO `search_words` (`rowid`, `words`) SELECT `docid`, new.`name` || ' ' || new.`tags` FROM `search_keys` WHERE `id` = 'p' || new.`id`;
END;--> statement-breakpoint
CREATE TRIGGER `words_of_named_piece` AFTER UPDATE OF `name`, `tags` ON `pieces` WHEN old.`name` <> new.`name` OR old.`tags` <> new.`tags` BEGIN
	UPDATE `search_words` SET `words` = new.`name` || ' ' || new.`tags` WHERE `rowid` = (SELECT `docid` FROM `search_keys` WHERE `id` = 'p' || new.`id`);
	UPDATE `search_words` SET `words` = w.`words` FROM (
		SELECT k.`docid`, f.`words` FROM `firing_words` f JOIN `search_keys` k ON k.`id` = 'f' || f.`id` WHERE f.`piece_id` = new.`id` AND old.`name` <> new.`name`
	) AS w WHERE `search_words`.`rowid` = w.`docid`;
END;--> statement-breakpoint
CREATE TRIGGER `words_of_noted_load` AFTER UPDATE OF `note` ON `loads` WHEN old.`note` <> new.`note` BEGIN
	UPDATE `search_words` SET `words` = w.`words` FROM (
		SELECT k.`docid`, f.`words` FROM `firing_words` f JOIN `search_keys` k ON k.`id` = 'f' || f.`id` WHERE f.`load_id` = new.`id`
	) AS w WHERE `search_words`.`rowid` = w.`docid`;
END;--> statement-breakpoint
CREATE TRIGGER `words_of_moved_firing` AFTER UPDATE OF `load_id` ON `firings` WHEN old.`load_id` <> new.`load_id` BEGIN
	UPDATE `search_words` SET `words` = (SELECT `words` FROM `firing_words` WHERE `id` = new.`id`)
		WHERE `rowid` = (SELECT `docid` FROM `search_keys` WHERE `id` = 'f' || new.`id`);
END;--> statement-breakpoint
CREATE TRIGGER `words_of_new_record` AFTER INSERT ON `records` BEGIN
	INSERT INTO `search_keys` (`id`) VALUES ('r' || new.`id`);
	INSERT INTO `search_words` (`rowid`, `words`)
		SELECT k.`docid`, w.`words` FROM `record_words` w JOIN `search_keys` k ON k.`id` = 'r' || w.`id` WHERE w.`id` = new.`id`;
END;--> statement-breakpoint
CREATE TRIGGER `words_of_changed_record` AFTER UPDATE OF `doc` ON `records` BEGIN
	UPDATE `search_words` SET `words` = (SELECT `words` FROM `record_words` WHERE `id` = new.`id`)
		WHERE `rowid` = (SELECT `docid` FROM `search_keys` WHERE `id` = 'r' || new.`id`);
END;--> statement-breakpoint
CREATE TRIGGER `words_of_erased_record` AFTER DELETE ON `records` BEGIN
	DELETE FROM `search_words` WHERE `rowid` = (SELECT `docid` FROM `search_keys` WHERE `id` = 'r' || old.`id`);
	DELETE FROM `search_keys` WHERE `id` = 'r' || old.`id`;
END;--> statement-breakpoint
CREATE TRIGGER `words_of_kept_reckoning` AFTER INSERT ON `reckonings` BEGIN
	INSERT INTO `search_keys` (`id`) VALUES ('c' || new.`id`);
	INSERT INTO `search_words` (`rowid`, `words`) SELECT `docid`, new.`kind` || ' ' || new.`told` FROM `search_keys` WHERE `id` = 'c' || new.`id`;
END;--> statement-breakpoint
CREATE TRIGGER `words_of_let_reckoning` AFTER DELETE ON `reckonings` BEGIN
	DELETE FROM `search_words` WHERE `rowid` = (SELECT `docid` FROM `search_keys` WHERE `id` = 'c' || old.`id`);
	DELETE FROM `search_keys` WHERE `id` = 'c' || old.`id`;
END;
