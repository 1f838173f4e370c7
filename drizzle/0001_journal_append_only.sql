-- The journal of the table is append-only: what was acknowledged stays as it was written.
CREATE TRIGGER `table_journal_no_update` BEFORE UPDATE ON `table_journal` BEGIN SELECT RAISE(ABORT, 'the table journal is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `table_journal_no_delete` BEFORE DELETE ON `table_journal` BEGIN SELECT RAISE(ABORT, 'the table journal is append-only'); END;
