// For scripts/mutate.mjs: of a large room only a share of the mutants is tried, always the same ones. A checker of the
// mutation runner: what it turns away counts as not made.

import { createHash } from 'node:crypto';

/** Share of the mutants that are tried: `.1` the first tenth, `.1-.2` the second. */
const said = (process.env.STRICKLE_MUTANTS ?? '1').split('-').map(Number);
const [from, to] = said.length === 1 ? [0, said[0]] : said;
const OF = 0xffffffff;

/** Drawn by what the mutant is, so that another run draws the same. */
function isDrawn({ fileName, location: { start, end }, mutatorName, replacement }) {
  const name = fileName.slice(fileName.lastIndexOf('src'));
  const what = JSON.stringify([name, start, end, mutatorName, replacement]);
  const place = createHash('sha256').update(what).digest().readUInt32BE(0) / OF;
  return place >= from && place < to;
}

class Sample {
  async init() {}

  async check(mutants) {
    return Object.fromEntries(
      mutants.map((m) => [m.id, isDrawn(m) ? { status: 'passed' } : { status: 'compileError', reason: 'not drawn' }]),
    );
  }

  // all at once: nothing is compiled
  async group(mutants) {
    return [mutants.map(({ id }) => id)];
  }
}

export const strykerPlugins = [{ kind: 'Checker', name: 'sample', injectableClass: Sample }];
