import 'server-only';
import { databaseFile } from '../env';
import { openDatabase, type Db, type OpenDatabase } from './openDatabase';

// Next reloads modules in development; the one open handle is kept on the process.
const holder = globalThis as typeof globalThis & { strickleDb?: OpenDatabase };

/** The studio's database, opened on first use. */
export function getDb(): Db {
  holder.strickleDb ??= openDatabase(databaseFile());
  return holder.strickleDb.db;
}
