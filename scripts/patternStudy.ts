// Orders a hand can remember against the free search, on every zone: what they cost. Prints the table of
// docs/strips.md, writes its plot and names those that cost more than is asked: `node --import tsx
// scripts/patternStudy.ts`

import { ONE_SIDE_FIRST, sidesOf, TWO_HALVES, ZONE_IDS, ZONES, type ZoneId } from '../src/core/anatomy';
import { patternSchedule, scheduleHands } from '../src/core/hands';
import { planMemory } from '../src/core/plan/planMemory';
import { placesOf } from '../src/core/plan/stripPlaces';
import { stripJobs } from '../src/core/plan/stripJobs';
import { prepareZone } from '../src/core/plan/zoneWork';
import { joinJobs, type ZoneJobs } from '../src/core/rounds';
import { mannerName, SHIPPED_PRODUCTS, type Way } from '../src/core/products';
import { isSpread, type HandLevel } from '../src/core/strips';
import { plot, writePlot } from './plot';

interface Worked {
  readonly product: string;
  readonly way: Way;
  /** Set window as it usually comes out, s. */
  readonly setS: { readonly min: number; readonly max: number };
}

const WORKED: readonly Worked[] = [
  { product: 'cream-hard', way: 'with', setS: { min: 25, max: 110 } },
  { product: 'film-hard', way: 'with', setS: { min: 17, max: 100 } },
  // thick or in a warm room it sets slowly
  { product: 'cream-hard', way: 'with', setS: { min: 38, max: 140 } },
  { product: 'soft', way: 'with', setS: { min: 0, max: 10 } },
  { product: 'sugar-firm', way: 'moulded', setS: { min: 0, max: 5 } },
];
const ON_SKIN: Readonly<Record<HandLevel, number>> = { trainee: 2, practised: 3, expert: 4 };
const LEVELS: readonly HandLevel[] = ['trainee', 'practised', 'expert'];
const memory = planMemory();

/** Ends by pattern and by the free search, s. */
function study(id: ZoneId, { product: wanted, way, setS }: Worked, level: HandLevel) {
  const product = SHIPPED_PRODUCTS.find((p) => p.id === wanted);
  if (!product) throw new Error(wanted);
  const sides = sidesOf(ZONES[id]).map((side, index): ZoneJobs => {
    const hair = { lengthMm: 8, coarseness: 4, density: 3 };
    const work = prepareZone({ zone: id, side, hair }, index, { consent: true }, level, memory);
    if (!work.ok) throw new Error(id);
    const { strips } = work.value.layout(product, way);
    const spread = isSpread(ZONES[id], product.family, way);
    const jobs = stripJobs({
      strips,
      side,
      manner: mannerName(product.family, way),
      coats: 1,
      setS,
      rest: null,
      level,
      face: ZONES[id].face,
      zone: id,
      family: product.family,
      coarseness: hair.coarseness,
      spread,
      pressS: 3,
    });
    return { zone: id, side, jobs, places: placesOf(strips, { zone: id, side, sheet: work.value.sheet, spread }) };
  });
  // the free search keeps to the courses of the trade too: what a practitioner would not lay so is no measure
  const input = { jobs: joinJobs(sides).map((j) => ({ ...j, pose: null })), maxOnSkin: ON_SKIN[level], walkS: 6 };
  const before = (k: number): number => sides.slice(0, k).reduce((n, s) => n + s.jobs.length, 0);
  const sheets = sides.map((s, k) => ({ jobs: s.jobs.map((_, n) => before(k) + n), places: s.places }));
  const pattern = patternSchedule(input, sheets, {
    oneSideFirst: ONE_SIDE_FIRST.includes(id),
    halved: TWO_HALVES.includes(id),
  });
  return {
    what: `${id} ${wanted} ${level}`,
    family: product.family,
    name: pattern?.name ?? null,
    pattern: pattern?.end.nowS,
    free: scheduleHands(input).endS,
  };
}

const ends = ZONE_IDS.flatMap((id) => WORKED.flatMap((w) => LEVELS.map((level) => study(id, w, level))));
type Studied = (typeof ends)[number];
const isNear = (e: Studied): boolean => e.pattern !== undefined && e.pattern <= Math.max(1.06 * e.free, e.free + 15);
const percent = (x: number): string => `${(100 * x).toFixed(1)} %`;
console.log('| family | plans | without | median | p90 | worst | within 6 % or 15 s |\n|---|---|---|---|---|---|---|');
for (const family of ['hard', 'soft', 'sugar'] as const) {
  const own = ends.filter((e) => e.family === family);
  const over = own.flatMap((e) => (e.pattern === undefined ? [] : [e.pattern / e.free - 1])).sort((a, b) => a - b);
  const near = own.filter(isNear).length;
  const at = (share: number): string =>
    percent(over[Math.min(over.length - 1, Math.floor(share * over.length))] ?? NaN);
  console.log(
    `| ${family} | ${own.length} | ${own.length - over.length} | ${at(0.5)} | ${at(0.9)} | ${at(1)} | ${percent(near / own.length)} |`,
  );
}
const names = new Map<string, number>();
for (const e of ends) names.set(e.name ?? 'none', (names.get(e.name ?? 'none') ?? 0) + 1);
console.log([...names].map(([name, n]) => `${name} ${n}`).join(', '));
for (const e of ends.filter((one) => !isNear(one))) {
  console.log(`${e.what}: ${e.name ?? 'none'} ${e.pattern?.toFixed(0) ?? '–'} s, free ${e.free.toFixed(0)} s`);
}
const costs = (family: string): readonly (readonly [number, number])[] => {
  const own = ends.flatMap((e) =>
    e.family === family && e.pattern !== undefined ? [100 * (e.pattern / e.free - 1)] : [],
  );
  return own
    .sort((a, b) => a - b)
    .map((cost, k): [number, number] => [(100 * (k + 1)) / own.length, Math.max(0, cost)]);
};
writePlot(
  'pattern-cost',
  plot(
    'What an order to remember costs against the free search',
    { label: 'share of plans, %', ticks: [0, 20, 40, 60, 80, 100] },
    { label: 'later, %', ticks: [0, 3, 6, 9, 12, 15] },
    [
      { name: 'hard', mark: 'line', colour: '#94530b', points: costs('hard') },
      {
        name: 'soft, sugar',
        mark: 'line',
        colour: '#256b63',
        points: [...costs('soft'), ...costs('sugar')].sort((a, b) => a[0] - b[0]),
      },
    ],
  ),
);
