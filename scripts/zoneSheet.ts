// A contact sheet of every zone of the catalogue: outline, size, default growth as short hairs. To be looked at one by
// one: `node --import tsx scripts/zoneSheet.ts` writes docs/plots/zones.png.

import { chromium } from '@playwright/test';
import { defaultGrowthAt, sheetFor, sidesOf, ZONE_IDS, ZONES, type ZoneId } from '../src/core/anatomy';
import { isInside, unit, type Vec } from '../src/core/shared';

const CELL = { width: 200, height: 236, drawing: 176 } as const;
const COLUMNS = 7;

function hairs(id: ZoneId, stepCm: number): string {
  const zone = ZONES[id];
  const side = sidesOf(zone)[0] ?? 'middle';
  const sheet = sheetFor(zone, side, {});
  if (!sheet.ok) return '';
  const { widthCm, heightCm, outline } = sheet.value;
  const lines: string[] = [];
  for (let y = stepCm / 2; y < heightCm; y += stepCm) {
    for (let x = stepCm / 2; x < widthCm; x += stepCm) {
      const at: Vec = [x, y];
      if (!isInside([outline], at)) continue;
      const [dx, dy] = unit(defaultGrowthAt(zone, side, sheet.value, at)) ?? [0, 0];
      lines.push(
        `<path d="M${x} ${y} l${dx * stepCm * 0.7} ${dy * stepCm * 0.7}" stroke-width="${stepCm * 0.09}"/><circle cx="${x}" cy="${y}" r="${stepCm * 0.09}" stroke="none" fill="#2A211A"/>`,
      );
    }
  }
  return lines.join('');
}

function cell(id: ZoneId, index: number): string {
  const zone = ZONES[id];
  const sheet = sheetFor(zone, sidesOf(zone)[0] ?? 'middle', {});
  if (!sheet.ok) return '';
  const { widthCm, heightCm, outline } = sheet.value;
  const scale = CELL.drawing / Math.max(widthCm, heightCm);
  const [x, y] = [
    (index % COLUMNS) * CELL.width + (CELL.width - widthCm * scale) / 2,
    Math.floor(index / COLUMNS) * CELL.height + 44,
  ];
  return `<g transform="translate(${x} ${y}) scale(${scale})"><path d="M${outline.map((p) => p.join(' ')).join('L')}Z" fill="#FFFDF8" stroke="#B86A12" stroke-width="${1.4 / scale}"/>
    <g stroke="#2A211A" fill="none">${hairs(id, Math.max(widthCm, heightCm) / 15)}</g></g>
    <text x="${(index % COLUMNS) * CELL.width + CELL.width / 2}" y="${Math.floor(index / COLUMNS) * CELL.height + 20}" text-anchor="middle">${zone.name}</text>
    <text x="${(index % COLUMNS) * CELL.width + CELL.width / 2}" y="${Math.floor(index / COLUMNS) * CELL.height + 35}" text-anchor="middle" class="q">${widthCm} × ${heightCm} cm${zone.paired ? ', left' : ''}</text>`;
}

const [width, height] = [COLUMNS * CELL.width, Math.ceil(ZONE_IDS.length / COLUMNS) * CELL.height];
const html = `<body style="margin:0;background:#F7F2E8"><svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}"><style>text{font:600 14px sans-serif;fill:#2A211A}.q{font:12px sans-serif;fill:#6B5D50}</style>${ZONE_IDS.map(cell).join('')}</svg></body>`;
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
const page = await browser.newPage({ viewport: { width, height } });
await page.setContent(html);
await page.screenshot({ path: 'docs/plots/zones.png' });
await browser.close();
