// `npm run bench`: measured speed of the engines against the aims, and the script that each page loads. Nothing here is
// a test. `npm run bench -- --milp` also compares 200 random schedules with HiGHS.

import { existsSync } from 'node:fs';
import { sheetFor, ZONES, type Side, type ZoneId } from '../src/core/anatomy';
import { growthField, type Stroke } from '../src/core/field';
import { learnGrowth, readyWindow, regrowthCurve, regrowthModel } from '../src/core/hair';
import { liveTable, oneByOneS, scheduleHands, type StripJob, type TableEvent } from '../src/core/hands';
import { heatTable, readHeat, solveSkinHeat, workingWindow } from '../src/core/heat';
import { chooseVisit, choiceFlips, planVisit, type VisitCase } from '../src/core/plan';
import { SHIPPED_PRODUCTS } from '../src/core/products';
import { judge, nextQuestions } from '../src/core/screening';
import { seededRandom } from '../src/core/shared';
import { largestStrip, layOutZone, stripFaults, zoneShapes } from '../src/core/strips';
import { randomTask } from '../src/core/hands/randomTask';
import { compareWithMilp } from './milp';
import { benchStudio } from './studio';
import { benchSearch } from './search';
import { chain } from './chain';
import { benchBringIn } from './bringIn';
import { benchForecast } from './forecast';

const film = SHIPPED_PRODUCTS[0];
const tab = film?.manners.tab;
if (!film || !tab) throw new Error('the catalogue begins with film wax');

interface Row {
  readonly what: string;
  readonly ms: number;
  readonly aimMs: number | null;
}
const rows: Row[] = [];

/** Median of several runs after warming up. */
function measure(what: string, aimMs: number | null, run: (k: number) => unknown, runs = 15, warm = 4): void {
  for (let k = 0; k < warm; k++) run(k);
  const times = Array.from({ length: runs }, (_, k) => {
    const from = performance.now();
    run(k + warm);
    return performance.now() - from;
  }).sort((a, b) => a - b);
  rows.push({ what, ms: times[Math.floor(runs / 2)] ?? 0, aimMs });
}

function ground(id: ZoneId, side: Side) {
  const zone = ZONES[id];
  const sheet = sheetFor(zone, side, {});
  if (!sheet.ok) throw new Error(sheet.error.code);
  return { zone, sheet: sheet.value };
}

function layoutOf(id: ZoneId, side: Side) {
  const { zone, sheet } = ground(id, side);
  return layOutZone(
    sheet.outline,
    growthField(zone, side, sheet, []),
    [],
    {
      way: 'with',
      largestCm: largestStrip(zone, 'hard', 'practised'),
      ...zoneShapes({ zone: id, side, family: 'hard', sheet }),
    },
    'A',
  );
}

benchForecast(measure);

const skin = ZONES.underarm.skin;
measure(
  'heat under a slab, 60 s',
  2,
  (k) => solveSkinHeat({ product: film, touchC: 54 + 0.01 * k, thicknessMm: 2, skin, roomC: 22 }),
  60,
  20,
);
measure(
  'working window',
  15,
  (k) => workingWindow({ product: film, manner: tab, mannerName: 'tab', skin, sensitivity: 3, roomC: 20 + 0.1 * k }),
  20,
);
const one = (id: ZoneId, side: Side, lengthMm: number): VisitCase => ({
  version: 1,
  on: '2027-05-14',
  client: { consent: true },
  zones: [{ zone: id, side, hair: { lengthMm, coarseness: 3, density: 3 } }],
});
const table = heatTable({ product: film, manner: tab, mannerName: 'tab', skin, sensitivity: 3, roomC: 22 });
measure(
  'heat table for the thickness slider (in a worker)',
  null,
  (k) => heatTable({ product: film, manner: tab, mannerName: 'tab', skin, sensitivity: 3, roomC: 20 + 0.1 * k }),
  3,
  1,
);
measure('thickness slider, reading window, felt heat and curve', 16, (k) => readHeat(table, 1.5 + 0.01 * k), 60, 20);
measure(
  'full match of an underarm over the catalogue',
  150,
  (k) => chooseVisit(one('underarm', 'left', 7 + 0.01 * k)),
  9,
  8,
);
measure(
  'full match of a lower leg over the catalogue',
  150,
  (k) => chooseVisit(one('lower-leg-front', 'left', 7 + 0.01 * k)),
  7,
  2,
);
measure(
  'what flips the choice, underarm (in a worker)',
  null,
  (k) => choiceFlips(one('underarm', 'left', 7 + 0.01 * k), 0),
  3,
  1,
);
measure('whole plan of an underarm', 150, (k) => planVisit(one('underarm', 'left', 7 + 0.01 * k)), 9, 3);
// warm, as the server's threads are some seconds after its start
measure('whole plan of a lower leg', 150, (k) => planVisit(one('lower-leg-front', 'left', 7 + 0.01 * k)), 9, 12);
const bothOf = (id: 'lower-leg-front' | 'upper-back', k: number): VisitCase => {
  const first = one(id, id === 'upper-back' ? 'middle' : 'left', 7 + 0.01 * k);
  const other = id === 'upper-back' ? one('lower-back', 'middle', 7) : one(id, 'right', 7 + 0.01 * k);
  return { ...first, zones: [...first.zones, ...other.zones] };
};
measure('whole plan of both lower legs', 600, (k) => planVisit(bothOf('lower-leg-front', k)), 7, 4);
measure('whole plan of a whole back', 400, (k) => planVisit(bothOf('upper-back', k)), 7, 4);
measure('strip layout, underarm', null, () => layoutOf('underarm', 'left'), 9, 3);
measure('strip layout, lower leg', null, () => layoutOf('lower-leg-front', 'left'), 9, 3);
measure('strip layout, upper back (largest zone)', 100, () => layoutOf('upper-back', 'middle'), 7, 2);
const strokes: Stroke[] = Array.from({ length: 60 }, (_, k) => ({
  at: [2 + (k % 10) * 3, 2 + Math.floor(k / 10) * 4],
  towards: [Math.cos(k), Math.sin(k)],
}));
const back = ground('upper-back', 'middle');
const backField = growthField(back.zone, 'middle', back.sheet, []);
const handInput = {
  way: 'with',
  largestCm: largestStrip(back.zone, 'hard', 'practised'),
  byHand: layoutOf('upper-back', 'middle').strips,
} as const;
measure(
  'strips by hand judged anew, upper back (in a worker)',
  null,
  () => stripFaults(layOutZone(back.sheet.outline, backField, [], handInput, 'A'), backField, handInput),
  9,
  3,
);
measure(
  'growth field after a stroke, upper back, 60 strokes',
  8,
  (k) => growthField(back.zone, 'middle', back.sheet, [...strokes, { at: [k % 30, 5], towards: [1, 0] }]),
  20,
);

measure('schedule of 30 strips', 500, () => scheduleHands(chain(30)), 5, 1);
measure('schedule of 10 strips, proved', 300, () => scheduleHands(chain(10)), 5, 1);
const thirty = { product: 'film-hard', ...chain(30) };
const events: TableEvent[] = [
  { id: 'w', atMs: 0, kind: 'wrist', product: 'film-hard' },
  ...[0, 2, 1].map((i, k): TableEvent => ({ id: `l${k}`, atMs: 12_000 * (k + 1), kind: 'laid', strip: `s${i}` })),
];
measure('re-plan at the table, 30 strips', 50, () => liveTable([thirty], events), 9, 2);
measure(
  'regrowth curve and window',
  5,
  () => readyWindow(regrowthCurve(regrowthModel(ZONES.underarm.growth, 'regular'), { shortestMm: 4, longestMm: 13 })),
  15,
);
measure(
  'learning from four visits',
  null,
  (k) =>
    learnGrowth(
      ZONES.underarm.growth,
      'regular',
      [28, 33, 36, 40].map((days) => ({ days, lengthMm: 0.2 * days + 0.01 * k })),
    ),
  7,
);
const facts = [
  { fact: 'acid-exfoliant', lastOn: '2027-05-10' },
  { fact: 'blood-thinner' },
  { fact: 'alcohol' },
] as const;
const hair = { lengthMm: 7, coarseness: 4, density: 3, curl: 1, history: 'first', past: [] } as const;
measure(
  'judging a visit',
  2,
  () =>
    judge({
      on: '2027-05-14',
      consent: true,
      guardianConsent: false,
      sensitivity: 3,
      facts,
      zones: [
        { zone: 'underarm', side: 'left', hair },
        { zone: 'upper-lip', side: 'middle', hair },
      ],
    }),
  30,
  10,
);
measure(
  'what to ask next (every open question tried)',
  null,
  () =>
    nextQuestions(
      {
        on: '2027-05-14',
        consent: true,
        guardianConsent: false,
        sensitivity: 3,
        facts,
        zones: [
          { zone: 'underarm', side: 'left', hair },
          { zone: 'upper-lip', side: 'middle', hair },
        ],
      },
      [],
    ),
  30,
  10,
);
const search = benchSearch();
rows.push(
  { what: `search as you type, ${search.clients} clients, slowest key`, ms: search.slowestMs, aimMs: 50 },
  { what: 'search as you type, median key', ms: search.medianMs, aimMs: null },
);

console.log('\nEngine speed (median, one core)');
for (const r of rows) {
  const ratio =
    r.aimMs === null ? '' : `aim ${r.aimMs} ms, ${(r.ms / r.aimMs).toFixed(2)} of it${r.ms > r.aimMs ? '  OVER' : ''}`;
  console.log(`  ${r.what.padEnd(54)} ${r.ms.toFixed(2).padStart(9)} ms   ${ratio}`);
}

console.log('\nSeveral strips setting at once, against one by one');
for (const [name, id] of [
  ['underarm', 'underarm'],
  ['lower leg', 'lower-leg-front'],
  ['upper back', 'upper-back'],
] as const) {
  const side: Side = id === 'upper-back' ? 'middle' : 'left';
  const planned = planVisit({
    ...one(id, side, 7),
    studio: { level: 'expert' },
    zones: [{ zone: id, side, hair: { lengthMm: 7, coarseness: 4, density: 3 }, product: 'cream-hard', way: 'with' }],
  });
  if (!planned.ok) continue;
  const { schedule, zones } = planned.value;
  const strips = zones[0]?.strips ?? [];
  const index = new Map(strips.map((s, i) => [s.id, i]));
  const lay = (sid: string): number => schedule.events.find((e) => e.do === 'lay' && e.strip === sid)?.forS ?? 10;
  const jobs = strips.map((s): StripJob => ({
    id: s.id,
    side: null,
    layS: lay(s.id),
    coats: 1,
    setMinS: s.setS.min,
    setMaxS: s.setS.max,
    pullS: 4,
    pressS: 3,
    needs: s.needsBefore.flatMap((n) => index.get(n) ?? []),
    touches: s.touches.flatMap((n) => index.get(n) ?? []),
  }));
  console.log(
    `  ${name.padEnd(12)} ${strips.length} strips: ${oneByOneS({ jobs, maxOnSkin: 4, walkS: 6 })} s one by one, ${schedule.endS} s planned, ${schedule.bound} bound ${schedule.lowerBoundS} s`,
  );
}

if (existsSync('.next/build-manifest.json')) {
  const { scriptOfPages } = await import('../scripts/scriptSizes.mjs');
  console.log('\nCompressed script of a first load (aim 350 kB for Today)');
  for (const p of scriptOfPages()) console.log(`  ${p.page.padEnd(24)} ${p.kB.toFixed(0).padStart(5)} kB`);
} else console.log('\nBuild first (npm run demo) to see the script that each page loads.');

if (process.argv.includes('--comb') || (existsSync('.next/BUILD_ID') && existsSync('/usr/bin/chromium'))) {
  const { traceCombing } = await import('./comb');
  const t = await traceCombing();
  console.log('\nCombing a whole back in Chromium (trace; aim 60 frames a second)');
  console.log(
    `  ${t.hairs} hairs drawn: ${t.framesPerS.toFixed(1)} frames a second, ${t.medianFrameMs.toFixed(1)} ms between two, 95 of 100 within ${t.p95FrameMs.toFixed(1)} ms; ${(100 * t.longTaskShare).toFixed(0)} tasks over 16.7 ms for 100 frames, longest ${t.longestTaskMs.toFixed(0)} ms`,
  );
}

if (existsSync('.next/BUILD_ID') && existsSync('/usr/bin/chromium')) {
  const { timeSlider } = await import('./slider');
  const t = await timeSlider();
  console.log('\nThickness slider of Match in Chromium (aim: within a frame, 16.7 ms of work)');
  console.log(
    `  ${t.steps} steps: the page works ${t.medianWorkMs.toFixed(1)} ms a step, 95 of 100 within ${t.p95WorkMs.toFixed(1)} ms; key to screen ${t.medianMs.toFixed(0)} ms, 95 of 100 within ${t.p95Ms.toFixed(0)} ms`,
  );
}

const studioAt = process.argv.indexOf('--studio');
if (studioAt > 0) await benchStudio(process.argv[studioAt + 1] ?? '');
if (process.argv.includes('--milp')) await compareWithMilp(200, seededRandom(3), randomTask);
if (process.argv.includes('--bring-in')) await benchBringIn();
