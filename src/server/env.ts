import 'server-only';
import { join } from 'node:path';

/** Where the data lies; the scripts set STRICKLE_DB. */
export const databaseFile = (): string => process.env['STRICKLE_DB'] ?? join(process.cwd(), 'data', 'studio.sqlite');

/** True of a request that came by HTTPS: then its cookies travel no other way. Said by scripts/serve.mjs alone. */
export const isSecure = (request: Request): boolean => request.headers.get('x-strickle-tls') === 'yes';
