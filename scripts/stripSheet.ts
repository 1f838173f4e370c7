// A contact sheet of the strips of every zone as it usually grows, to be looked at as a practitioner: would you lay it
// like that? `node --import tsx scripts/stripSheet.ts [hard|soft|sugar] [zone…] [--outcomes]` writes
// /tmp/strip-sheet.png. Without `--outcomes` everything comes off; with it each outcome that leaves hair standing is
// drawn, what stays in green.

import { chromium } from '@playwright/test';
import { FAMILIES, sheetFor, sidesOf, ZONE_IDS, ZONES, type Family, type ZoneId } from '../src/core/anatomy';
import { growthAt, growthField } from '../src/core/field';
import type { Way } from '../src/core/products';
import { boxOf, isInside, type Ring, type Vec } from '../src/core/shared';
import { howMuchFor } from '../src/core/agreement';
import { keepOf, outcomesWithLine } from '../src/core/outcomes';
import { canFade, fadeOf, largestStrip, layOutZone, zoneShapes } from '../src/core/strips';

const [wanted = 'hard', ...named] = process.argv.slice(2).filter((a) => !a.startsWith('--'));
const family: Family = FAMILIES.find((f) => f === wanted) ?? 'hard';
const zones = ZONE_IDS.filter(
  (id) => ZONES[id].families.includes(family) && (named.length === 0 || named.includes(id)),
);
interface Cell {
  readonly id: ZoneId;
  readonly outcome: string | null;
}
const hasOutcome = (id: ZoneId, outcome: string): boolean =>
  outcomesWithLine(id).includes(outcome) || (canFade(id) && outcome === 'fade');
const cells: readonly Cell[] = process.argv.includes('--outcomes')
  ? zones.flatMap((id) =>
      howMuchFor(id)
        .filter((h) => hasOutcome(id, h.id))
        .map((h) => ({ id, outcome: h.id })),
    )
  : zones.map((id) => ({ id, outcome: null }));
const isLarge = named.length > 0 || process.argv.includes('--outcomes');
const COLUMNS = isLarge ? Math.min(4, cells.length) : 6;
const CELL = isLarge ? { width: 420, height: 470, drawing: 400 } : { width: 230, height: 266, drawing: 206 };

const path = (ring: Ring): string => `M${ring.map(([x, y]) => `${x.toFixed(3)} ${y.toFixed(3)}`).join('L')}Z`;
const meanOf = (ring: Ring): Vec => [
  ring.reduce((s, p) => s + p[0], 0) / ring.length,
  ring.reduce((s, p) => s + p[1], 0) / ring.length,
];

function cell({ id, outcome }: Cell, index: number): string {
  const zone = ZONES[id];
  const side = sidesOf(zone)[0] ?? 'middle';
  const sheet = sheetFor(zone, side, {});
  if (!sheet.ok) return '';
  const field = growthField(zone, side, sheet.value, []);
  const keep = outcome === null ? [] : keepOf(id, side, outcome, sheet.value);
  const way: Way = family === 'sugar' ? 'moulded' : 'with';
  const { strips, cover } = layOutZone(
    sheet.value.outline,
    field,
    [],
    {
      way,
      keep,
      largestCm: largestStrip(zone, family, 'practised'),
      ...zoneShapes({
        zone: id,
        side,
        family,
        sheet: sheet.value,
        fade: outcome === 'fade' ? fadeOf(id, side, sheet.value) : undefined,
      }),
    },
    '',
  );
  const box = boxOf([sheet.value.outline, ...strips.map((s) => s.tabRing)]);
  const scale = CELL.drawing / Math.max(box.x1 - box.x0, box.y1 - box.y0);
  const unit = 1 / scale;
  const [x, y] = [(index % COLUMNS) * CELL.width + 12, Math.floor(index / COLUMNS) * CELL.height + 46];
  const step = Math.max(sheet.value.widthCm, sheet.value.heightCm) / 22;
  let hairs = '';
  for (let v = step / 2; v < sheet.value.heightCm; v += step) {
    for (let u = step / 2; u < sheet.value.widthCm; u += step) {
      if (!isInside([sheet.value.outline], [u, v])) continue;
      const [dx, dy] = growthAt(field, [u, v]);
      hairs += `M${u} ${v}l${dx * step * 0.7} ${dy * step * 0.7}`;
    }
  }
  const drawn = strips
    .map((s, k) => {
      const [mx, my] = meanOf(s.outline);
      const to: Vec = [s.tab[0] + s.pull[0] * 1.2, s.tab[1] + s.pull[1] * 1.2];
      return `<path d="${path(s.outline)}" fill="hsl(${30 + 12 * (k % 3)} 70% ${62 + 6 * (k % 2)}% / .45)" stroke="#94530B" stroke-width="${1.3 * unit}"/><path d="${path(s.tabRing)}" fill="none" stroke="${s.tabOn === 'hair' ? '#9E2F2A' : s.tabOn === 'bare' ? '#256B63' : '#94530B'}" stroke-width="${unit}" stroke-dasharray="${3 * unit}"/><path d="M${s.tab.join(' ')}L${to.join(' ')}" stroke="#256B63" stroke-width="${1.6 * unit}"/><text x="${mx}" y="${my + 5 * unit}" font-size="${13 * unit}" text-anchor="middle">${s.order}</text>`;
    })
    .join('');
  return `<g transform="translate(${x} ${y}) scale(${scale}) translate(${-box.x0} ${-box.y0})"><path d="${path(sheet.value.outline)}" fill="#FFFDF8" stroke="#2A211A" stroke-width="${2 * unit}"/><path d="${hairs}" stroke="#2A211A" stroke-opacity=".6" stroke-width="${unit}" fill="none"/><path d="${keep.map(path).join('')}" fill="#256B63" fill-opacity=".16" stroke="#256B63" stroke-width="${1.6 * unit}"/>${drawn}</g>
    <text x="${(index % COLUMNS) * CELL.width + 12}" y="${Math.floor(index / COLUMNS) * CELL.height + 20}" font-size="14">${zone.name}${outcome === null ? '' : `, ${outcome}`}: ${strips.length}</text>
    <text x="${(index % COLUMNS) * CELL.width + 12}" y="${Math.floor(index / COLUMNS) * CELL.height + 36}" class="q">${(100 * cover.coveredShare).toFixed(0)} %, ${cover.meanAngleErrorDeg.toFixed(1)}°, over 40°: ${(100 * cover.over40Share).toFixed(1)} %</text>`;
}

const [width, height] = [COLUMNS * CELL.width, Math.ceil(cells.length / COLUMNS) * CELL.height];
const html = `<body style="margin:0;background:#F7F2E8"><svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}"><style>text{font-family:sans-serif;font-weight:600;fill:#2A211A}.q{font-size:12px;font-weight:400;fill:#6B5D50}</style>${cells.map(cell).join('')}</svg></body>`;
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
const page = await browser.newPage({ viewport: { width, height } });
await page.setContent(html);
await page.screenshot({
  path: '/tmp/strip-sheet.png',
});
await browser.close();
