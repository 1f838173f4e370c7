-- Search over the card index: FTS5, without accents, by the beginnings of words. Its rows hang on numbers of their own, since the
-- row numbers of `clients` may change when the file is compacted.
CREATE TABLE `client_search_no` (`no` integer PRIMARY KEY, `client_id` text NOT NULL UNIQUE REFERENCES `clients`(`id`));
--> statement-breakpoint
CREATE VIRTUAL TABLE `client_search` USING fts5(name, byline, phone, note, tokenize = "unicode61 remove_diacritics 2", prefix = '1 2 3');
--> statement-breakpoint
INSERT INTO `client_search_no` (`client_id`) SELECT `id` FROM `clients`;
--> statement-breakpoint
INSERT INTO `client_search` (rowid, name, byline, phone, note)
  SELECT n.`no`, c.`name`, c.`byline`, c.`phone` || ' ' || replace(c.`phone`, ' ', ''), c.`note` FROM `clients` c JOIN `client_search_no` n ON n.`client_id` = c.`id`;
--> statement-breakpoint
CREATE TRIGGER `client_search_insert` AFTER INSERT ON `clients` BEGIN
  INSERT INTO `client_search_no` (`client_id`) VALUES (new.`id`);
  INSERT INTO `client_search` (rowid, name, byline, phone, note)
    SELECT `no`, new.`name`, new.`byline`, new.`phone` || ' ' || replace(new.`phone`, ' ', ''), new.`note` FROM `client_search_no` WHERE `client_id` = new.`id`;
END;
--> statement-breakpoint
CREATE TRIGGER `client_search_update` AFTER UPDATE OF `name`, `byline`, `phone`, `note` ON `clients` BEGIN
  UPDATE `client_search` SET name = new.`name`, byline = new.`byline`, phone = new.`phone` || ' ' || replace(new.`phone`, ' ', ''), note = new.`note`
    WHERE rowid = (SELECT `no` FROM `client_search_no` WHERE `client_id` = new.`id`);
END;
--> statement-breakpoint
-- One or two letters find the names that begin so, straight from this index.
CREATE INDEX `clients_name_nocase` ON `clients` (`name` COLLATE NOCASE);
--> statement-breakpoint
CREATE INDEX `clients_archived` ON `clients` (`archived_at_ms`, `name`);
--> statement-breakpoint
-- What was signed, changed or loosened stays as it was written.
CREATE TRIGGER `consents_no_update` BEFORE UPDATE ON `consents` BEGIN SELECT RAISE(ABORT, 'consents are append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `consents_no_delete` BEFORE DELETE ON `consents` BEGIN SELECT RAISE(ABORT, 'consents are append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `client_edits_no_update` BEFORE UPDATE ON `client_edits` BEGIN SELECT RAISE(ABORT, 'the history of a card is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `client_edits_no_delete` BEFORE DELETE ON `client_edits` BEGIN SELECT RAISE(ABORT, 'the history of a card is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `rule_changes_no_update` BEFORE UPDATE ON `rule_changes` BEGIN SELECT RAISE(ABORT, 'rule changes are append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `rule_changes_no_delete` BEFORE DELETE ON `rule_changes` BEGIN SELECT RAISE(ABORT, 'rule changes are append-only'); END;
