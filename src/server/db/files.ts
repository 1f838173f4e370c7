// Files that hold health notes are for the one who runs Strickle, and for nobody else on the machine.

import { chmodSync } from 'node:fs';

export const ownFile = (file: string): void => chmodSync(file, 0o600);

/** Some of the tables that every file of ours has had from the first, quoted. */
export const TABLES_OF_OURS = "'clients', 'visits', 'studio'";
