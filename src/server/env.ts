import 'server-only';
import { join } from 'node:path';

/** Where the data lies; the scripts set STRICKLE_DB. */
export const databaseFile = (): string => process.env['STRICKLE_DB'] ?? join(process.cwd(), 'data', 'studio.sqlite');

/** True where the server is reached by HTTPS: then its cookies travel no other way. */
export const isSecure = (): boolean => process.env['STRICKLE_HTTPS'] === 'on';
