// Tables and plots for docs/choice.md: what the choice does over 500 seeded cases, and along the length of the hair.
// `node --import tsx scripts/choiceStudy.ts`

import type { Family, ZoneId } from '../src/core/anatomy';
import { matchOptions, SHIPPED_PREFERENCES, type ZoneMatch } from '../src/core/matching';
import { chooseVisit, planMemory } from '../src/core/plan';
import { plainCase, randomCase } from '../src/core/plan/randomCase';
import { seededRandom } from '../src/core/shared';
import { plot, writePlot, type Series } from './plot';

const CASES = 500;
const FIRSTS = ['none', 'wax', 'sugar'] as const;
const FAMILIES: readonly Family[] = ['hard', 'soft', 'sugar'];
const memory = planMemory();
const random = seededRandom(71);

const cases = Array.from({ length: CASES }, () => {
  const visit = randomCase(random, { preferences: { first: 'none' } });
  const made = chooseVisit(visit, { memory, choiceOnly: true });
  const zone = made.ok ? made.value.zones[0] : undefined;
  if (!zone) throw new Error('a case can be planned');
  const by = (first: (typeof FIRSTS)[number]): ZoneMatch =>
    matchOptions({ ...zone.match, preferences: { ...SHIPPED_PREFERENCES, first } }, zone.found.options);
  const { coarseness, lengthMm } = visit.zones[0]?.hair ?? { coarseness: 3, lengthMm: 6 };
  return { coarseness, lengthMm, by };
});

for (const first of FIRSTS) {
  const found = cases.map((c) => ({ ...c, match: c.by(first) }));
  const rows = [1, 2, 3, 4, 5].map((coarseness) => {
    const of = found.filter((f) => f.coarseness === coarseness && f.match.best);
    return [
      coarseness,
      ...FAMILIES.map((family) => of.filter((f) => f.match.best?.family === family).length),
      of.length,
    ].join(' | ');
  });
  const medium = found.filter((f) => f.coarseness === 3);
  const bands = [
    [3, 5],
    [5, 7],
    [7, 12.1],
  ] as const;
  for (const [from, to] of bands) {
    const of = medium.filter((f) => f.lengthMm >= from && f.lengthMm < to);
    const share = FAMILIES.map((family) => `${family} ${of.filter((f) => f.match.best?.family === family).length}`);
    console.log(`medium hair of ${from}–${to} mm: ${share.join(', ')}`);
  }
  const counted = (list: readonly string[]): string =>
    [...new Set(list)].map((code) => `${code} ${list.filter((c) => c === code).length}`).join(', ');
  console.log(`\n### ${first}\n\n| coarseness | hard | soft | sugar | all |\n|---|---|---|---|---|`);
  for (const row of rows) console.log(`| ${row} |`);
  console.log(`\ndecided: ${counted(found.flatMap((f) => f.match.decided.map((d) => d.code)))}`);
  console.log(`yielded: ${counted(found.flatMap((f) => f.match.yielded.map((d) => d.code)))}`);
}

interface Step {
  readonly lengthMm: number;
  readonly leftPercent: number;
  readonly minutes: number;
}

/** The choice at every tenth of a millimetre. */
function along(zone: ZoneId, coarseness: number): readonly Step[] {
  return Array.from({ length: 81 }, (_, i): Step[] => {
    const lengthMm = Math.round(20 + i) / 10;
    const made = chooseVisit(plainCase(zone, lengthMm, coarseness), { memory, choiceOnly: true });
    const option = made.ok ? made.value.choices[0]?.option : undefined;
    return option ? [{ lengthMm, leftPercent: 100 * option.staysShare, minutes: option.allMinutes }] : [];
  }).flat();
}

const LINES = [
  { name: 'underarm, coarse', zone: 'underarm', coarseness: 4, colour: '#94530b' },
  { name: 'lower leg, fine', zone: 'lower-leg-front', coarseness: 2, colour: '#256b63' },
] as const;
const walked = LINES.map((l) => ({ ...l, steps: along(l.zone, l.coarseness) }));
const lines = (of: (s: Step) => number): readonly Series[] =>
  walked.map(({ name, colour, steps }) => ({
    name,
    mark: 'line',
    colour,
    points: steps.map((s) => [s.lengthMm, of(s)]),
  }));
const LENGTHS = { label: 'typical length, mm', ticks: [2, 4, 6, 8, 10] };
writePlot(
  'choice-left',
  plot(
    'Left for next time by the choice',
    LENGTHS,
    { label: '% of the hair', ticks: [0, 1, 2, 3, 4] },
    lines((s) => s.leftPercent),
  ),
);
writePlot(
  'choice-minutes',
  plot(
    'Minutes of the choice, all passes and tweezing',
    LENGTHS,
    { label: 'min', ticks: [0, 4, 8, 12, 16] },
    lines((s) => s.minutes),
  ),
);
