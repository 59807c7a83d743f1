-- The words of pieces and firings, as they are searched. Triggers keep them, whoever writes. The keys say whose words a row has:
-- 'p' and a piece's id, 'f' and a firing's. The tables' own row numbers would not do, which VACUUM gives anew.
CREATE TABLE `search_keys` (`docid` integer PRIMARY KEY, `id` text NOT NULL UNIQUE);--> statement-breakpoint
CREATE VIRTUAL TABLE `search_words` USING fts5(`words`, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3');--> statement-breakpoint
INSERT INTO `search_keys` (`id`) SELECT 'p' || `id` FROM `pieces` UNION ALL SELECT 'f' || `id` FROM `firings`;--> statement-breakpoint
INSERT INTO `search_words` (`rowid`, `words`) SELECT k.`docid`, p.`name` FROM `pieces` p JOIN `search_keys` k ON k.`id` = 'p' || p.`id`;--> statement-breakpoint
CREATE VIEW `firing_words` AS
	SELECT f.`id`, f.`piece_id`, p.`name` || ' ' || f.`note` || ' ' || f.`place` || ' ' || s.`kiln_name` || ' ' || s.`family_name` AS `words`
	FROM `firings` f JOIN `pieces` p ON p.`id` = f.`piece_id` JOIN `schedules` s ON s.`id` = f.`schedule_id`;--> statement-breakpoint
INSERT INTO `search_words` (`rowid`, `words`) SELECT k.`docid`, w.`words` FROM `firing_words` w JOIN `search_keys` k ON k.`id` = 'f' || w.`id`;--> statement-breakpoint
CREATE TRIGGER `words_of_new_piece` AFTER INSERT ON `pieces` BEGIN
	INSERT INTO `search_keys` (`id`) VALUES ('p' || new.`id`);
	INSERT INTO `search_words` (`rowid`, `words`) SELECT `docid`, new.`name` FROM `search_keys` WHERE `id` = 'p' || new.`id`;
END;--> statement-breakpoint
CREATE TRIGGER `words_of_named_piece` AFTER UPDATE OF `name` ON `pieces` WHEN old.`name` <> new.`name` BEGIN
	UPDATE `search_words` SET `words` = new.`name` WHERE `rowid` = (SELECT `docid` FROM `search_keys` WHERE `id` = 'p' || new.`id`);
	UPDATE `search_words` SET `words` = w.`words` FROM (
		SELECT k.`docid`, f.`words` FROM `firing_words` f JOIN `search_keys` k ON k.`id` = 'f' || f.`id` WHERE f.`piece_id` = new.`id`
	) AS w WHERE `search_words`.`rowid` = w.`docid`;
END;--> statement-breakpoint
CREATE TRIGGER `words_of_erased_piece` AFTER DELETE ON `pieces` BEGIN
	DELETE FROM `search_words` WHERE `rowid` = (SELECT `docid` FROM `search_keys` WHERE `id` = 'p' || old.`id`);
	DELETE FROM `search_keys` WHERE `id` = 'p' || old.`id`;
END;--> statement-breakpoint
CREATE TRIGGER `words_of_new_firing` AFTER INSERT ON `firings` BEGIN
	INSERT INTO `search_keys` (`id`) VALUES ('f' || new.`id`);
	INSERT INTO `search_words` (`rowid`, `words`)
		SELECT k.`docid`, w.`words` FROM `firing_words` w JOIN `search_keys` k ON k.`id` = 'f' || w.`id` WHERE w.`id` = new.`id`;
END;--> statement-breakpoint
CREATE TRIGGER `words_of_told_firing` AFTER UPDATE OF `note`, `place` ON `firings` BEGIN
	UPDATE `search_words` SET `words` = (SELECT `words` FROM `firing_words` WHERE `id` = new.`id`)
		WHERE `rowid` = (SELECT `docid` FROM `search_keys` WHERE `id` = 'f' || new.`id`);
END;--> statement-breakpoint
CREATE TRIGGER `words_of_erased_firing` AFTER DELETE ON `firings` BEGIN
	DELETE FROM `search_words` WHERE `rowid` = (SELECT `docid` FROM `search_keys` WHERE `id` = 'f' || old.`id`);
	DELETE FROM `search_keys` WHERE `id` = 'f' || old.`id`;
END;
