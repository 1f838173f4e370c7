// Ten whole visits on one picture, each zone with its strips and the order of laying as a path, to be looked at as a
// practitioner: could you say the order by heart after one look? `node --import tsx scripts/visitSheet.ts` writes
// /tmp/visit-sheet.png.

import { chromium } from '@playwright/test';
import { sidesOf, ZONES, type ZoneId } from '../src/core/anatomy';
import { planVisit, type PlanZone, type ZoneCase } from '../src/core/plan';
import { boxOf, type Vec } from '../src/core/shared';

const VISITS: readonly (readonly [string, readonly ZoneId[], string])[] = [
  ['underarms, film', ['underarm'], 'film-hard'],
  ['lower legs, cream', ['lower-leg-front', 'knee', 'lower-leg-back'], 'cream-hard'],
  ['lower legs, soft', ['lower-leg-front', 'lower-leg-back'], 'soft'],
  ['brows', ['between-brows', 'brow'], 'film-hard'],
  ['lip and chin', ['upper-lip', 'chin'], 'film-hard'],
  ['back and shoulders', ['upper-back', 'lower-back', 'shoulder'], 'cream-hard'],
  ['front and crease', ['front-complete', 'buttock-crease'], 'film-hard'],
  ['bikini extended', ['bikini-extended'], 'film-hard'],
  ['arms, sugar', ['forearm', 'upper-arm'], 'sugar-soft'],
  ['chest and abdomen', ['chest', 'abdomen'], 'cream-hard'],
];
const [CELL_W, CELL_H, DRAWN] = [190, 250, 180];

const middle = (ring: readonly Vec[]): Vec => [
  ring.reduce((s, p) => s + p[0], 0) / ring.length,
  ring.reduce((s, p) => s + p[1], 0) / ring.length,
];
const line = (ring: readonly Vec[]): string => ring.map(([x, y]) => `${x.toFixed(2)} ${y.toFixed(2)}`).join('L');

function zoneOf(zone: PlanZone, x: number, y: number): string {
  const box = boxOf([zone.outline]);
  const scale = DRAWN / Math.max(box.x1 - box.x0, box.y1 - box.y0);
  const px = 1 / scale;
  const ordered = [...zone.strips].sort((a, b) => a.order - b.order);
  const strips = ordered
    .map((s) => `<path d="M${line(s.outline)}Z" fill="#F2D3A6" stroke="#94530B" stroke-width="${px}"/>`)
    .join('');
  const places = ordered.map((s) => middle(s.outline));
  const numbers = ordered
    .map(
      (s, k) =>
        `<text x="${places[k]?.[0]}" y="${(places[k]?.[1] ?? 0) + 4 * px}" font-size="${12 * px}">${s.number}</text>`,
    )
    .join('');
  const name = `${ZONES[zone.zone].name}${zone.side === 'middle' ? '' : `, ${zone.side}`}: ${ordered.length}`;
  return `<g transform="translate(${x} ${y + 22}) scale(${scale}) translate(${-box.x0} ${-box.y0})"><path d="M${line(zone.outline)}Z" fill="#FFFDF8" stroke="#2A211A" stroke-width="${px}"/>${strips}<path d="M${line(places)}" fill="none" stroke="#256B63" stroke-width="${1.6 * px}"/>${numbers}</g><text class="n" x="${x}" y="${y + 14}">${name}</text>`;
}

let y = 8;
let width = 0;
const parts = VISITS.map(([name, ids, product]) => {
  const zones = ids.flatMap((zone) =>
    sidesOf(ZONES[zone]).map((side): ZoneCase => ({
      zone,
      side,
      hair: { lengthMm: 8, coarseness: 3, density: 3 },
      product,
    })),
  );
  const made = planVisit({ version: 1, on: '2026-12-01', client: { consent: true }, zones });
  if (!made.ok) throw new Error(`${name}: ${JSON.stringify(made.error)}`);
  const { rounds, endS } = made.value.schedule;
  const says = rounds.map((r) => `${r.position}: ${r.stands} ${r.says.join(' · ')}`);
  const keys = rounds.flatMap((r) => r.zones);
  const drawn = keys.flatMap((key) => made.value.zones.find((z) => `${z.zone}/${z.side}` === key) ?? []);
  const at = y;
  y += CELL_H + 22 + 16 * says.length;
  width = Math.max(width, drawn.length * CELL_W + 20, 1100);
  return `<text class="t" x="10" y="${at + 14}">${name}, ${Math.floor(endS / 60)}:${String(Math.round(endS % 60)).padStart(2, '0')}</text>${says
    .map((s, k) => `<text class="q" x="10" y="${at + 32 + 16 * k}">${s.replaceAll('<', '&lt;')}</text>`)
    .join('')}${drawn.map((z, k) => zoneOf(z, 10 + k * CELL_W, at + 24 + 16 * says.length)).join('')}`;
});
const html = `<body style="margin:0;background:#F7F2E8"><svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${y}"><style>text{font-family:sans-serif;font-weight:600;fill:#2A211A;text-anchor:middle}.t,.q,.n{text-anchor:start;font-size:15px}.q{font-size:13px;font-weight:400}.n{font-size:12px;font-weight:400;fill:#6B5D50}</style>${parts.join('')}</svg></body>`;
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
const page = await browser.newPage({ viewport: { width, height: Math.ceil(y) } });
await page.setContent(html);
await page.screenshot({ path: '/tmp/visit-sheet.png' });
await browser.close();
