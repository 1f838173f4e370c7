// Which engines made a plan: the hash of the core's own sources. It is taken at the build (scripts/ready.mjs hands it
// on as STRICKLE_ENGINES), so that no number has to be raised by hand; without a build the sources themselves are read.

import 'server-only';
import { enginesHash } from '../../../scripts/enginesHash.mjs';

let known: string | null = null;

export function enginesVersion(): string {
  known ??= process.env['STRICKLE_ENGINES'] ?? enginesHash();
  return known;
}
