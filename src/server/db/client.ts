import 'server-only';
import { beforeMigration } from '../backup/backup';
import { nowMs } from '../clock';
import { databaseFile } from '../env';
import { holdFile, type Held } from './oneServer';
import { openDatabase, type Db, type OpenDatabase } from './openDatabase';

// Next loads modules more than once; the one open handle is kept on the process.
const holder = globalThis as typeof globalThis & {
  strickleDb?: OpenDatabase;
  strickleHeld?: Held;
  /** For the script that runs the server: folds the log into the file and lets go of it. */
  strickleClose?: () => void;
};

/** Holds the data file for this process. Throws `DatabaseRefused` where another server has it. */
export function holdDb(): void {
  holder.strickleHeld ??= holdFile(databaseFile());
  getDb();
}

/** The studio's database, opened on first use. */
export function getDb(): Db {
  holder.strickleDb ??= openDatabase(databaseFile(), { beforeMigration: beforeMigration(String(nowMs())) });
  holder.strickleClose ??= () => {
    holder.strickleDb?.close();
    holder.strickleHeld?.release();
  };
  return holder.strickleDb.db;
}
