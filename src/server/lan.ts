// How tablets in the network reach this machine, as scripts/serve.mjs has said.

import 'server-only';

export interface Lan {
  /** `https://192.168.1.20:4101` and the like; the numbers first. */
  readonly addresses: readonly string[];
  /** PEM of the authority that signs the certificate. */
  readonly authority: string;
}

/** Null where the server answers this machine alone. */
export const lan = (): Lan | null => (globalThis as typeof globalThis & { strickleLan?: Lan }).strickleLan ?? null;
