// A zone's strips as a drawing in centimetres: outline, strips as wax with their numbers and tabs, the way of the
// pull, and what stays. It names the zone,
// never the client.

import { sizedPair } from './size';
import { ZONES } from '../core/anatomy';
import type { PlanStrip, PlanZone } from '../core/plan';
import type { Ring, Vec } from '../core/shared';
import { slabOf, type Slab } from './slab';

const MARGIN_CM = 1.6;
const INK = '#2A211A';
const n = (x: number): string => String(Math.round(x * 1000) / 1000);

/** Path of a ring, as SVG and the PDF writer read it. */
export const ringPath = (ring: Ring): string => `M${ring.map(([x, y]) => `${n(x)} ${n(y)}`).join('L')}Z`;

/** Centre of a ring's area. */
export function ringCentre(ring: Ring): Vec {
  let [area, cx, cy] = [0, 0, 0];
  ring.forEach(([x, y], i) => {
    const [u, v] = ring[(i + 1) % ring.length] ?? [x, y];
    const k = x * v - u * y;
    area += k;
    cx += (x + u) * k;
    cy += (y + v) * k;
  });
  return area === 0 ? (ring[0] ?? [0, 0]) : [cx / (3 * area), cy / (3 * area)];
}

/** The pull as an arrow from the tab over the strip: its line and its head. */
export function pullArrow(
  { tab, pull, lengthMm }: Pick<PlanStrip, 'tab' | 'pull' | 'lengthMm'>,
  headCm: number,
): { readonly from: Vec; readonly to: Vec; readonly head: Ring } {
  const reach = 0.6 + Math.min(lengthMm / 10, 4 * headCm + 0.5);
  const tip: Vec = [tab[0] + pull[0] * reach, tab[1] + pull[1] * reach];
  const neck: Vec = [tip[0] - pull[0] * headCm, tip[1] - pull[1] * headCm];
  const [nx, ny] = [-pull[1] * headCm * 0.5, pull[0] * headCm * 0.5];
  return { from: tab, to: neck, head: [tip, [neck[0] + nx, neck[1] + ny], [neck[0] - nx, neck[1] - ny]] };
}

export const zoneTitle = (zone: PlanZone): string =>
  `${ZONES[zone.zone].name}${zone.side === 'middle' ? '' : `, ${zone.side}`}`;

/** Thickness of lines and height of figures for a sheet of this size, cm. */
export const strokeFor = ([w, h]: readonly [number, number]): number => Math.max(w, h) / 420;

/** Colours of wax, of its edge and tab, and of what the hands do and keep clear of. */
export const WAX = { body: '#E6AE5C', edge: '#94530B' } as const;
export const PULL = '#256B63';

/** The strip as a slab for paper, and the height of its number, cm. */
export function waxOf(strip: PlanStrip, line: number): { readonly slab: Slab; readonly size: number } {
  const slab = slabOf(strip, 1.6 * line, 9 * line);
  return { slab, size: Math.min(15 * line, 1.1 * slab.roomCm) };
}

export function stripsSvg(zone: PlanZone): string {
  const [w, h] = [zone.sheetCm[0] + 2 * MARGIN_CM, zone.sheetCm[1] + 2 * MARGIN_CM];
  const line = strokeFor(zone.sheetCm);
  const strips = zone.strips.map((s) => {
    const { slab, size } = waxOf(s, line);
    const arrow = pullArrow(s, 9 * line);
    return (
      `<g><title>Strip ${s.number}, ${sizedPair(Math.round(s.lengthMm), ' by ', Math.round(s.widthMm), 'mm')}, tab on ${s.tabOn === 'hair' ? 'hair' : `${s.tabOn} skin`}</title><path d="${ringPath(s.outline)}" fill="none" stroke="${WAX.edge}" stroke-width="${n(0.5 * line)}"/>` +
      `<path d="${slab.path}" fill="${WAX.body}"/><path d="${slab.grain}" fill="none" stroke="${WAX.edge}" stroke-opacity="0.5" stroke-width="${n(0.6 * line)}"/><path d="${ringPath(slab.tab)}" fill="${WAX.edge}"/>` +
      `<path d="M${n(arrow.from[0])} ${n(arrow.from[1])}L${n(arrow.to[0])} ${n(arrow.to[1])}" stroke="${PULL}" stroke-width="${n(2 * line)}"/><path d="${ringPath(arrow.head)}" fill="${PULL}"/>` +
      `<circle cx="${n(slab.disc[0])}" cy="${n(slab.disc[1])}" r="${n(0.8 * size)}" fill="#FFFDF8"/><text x="${n(slab.disc[0])}" y="${n(slab.disc[1] + 0.35 * size)}" font-size="${n(size)}" text-anchor="middle">${s.number}</text></g>`
    );
  });
  const keep = zone.keep
    .map(
      (k) =>
        `<path d="${ringPath(k.outline)}" fill="${PULL}" fill-opacity="0.1" stroke="${PULL}" stroke-width="${n(3 * line)}"/>`,
    )
    .join('');
  const marks = zone.excluded.map(
    (e) =>
      `<circle cx="${n(e.at[0])}" cy="${n(e.at[1])}" r="${n(e.clearanceMm / 10)}" fill="#FFFDF8" stroke="#9E2F2A" stroke-width="${n(1.4 * line)}" stroke-dasharray="${n(5 * line)} ${n(4 * line)}"/>`,
  );
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(w)}cm" height="${n(h)}cm" viewBox="${n(-MARGIN_CM)} ${n(-MARGIN_CM)} ${n(w)} ${n(h)}" font-family="sans-serif" font-weight="700" fill="${INK}"><title>${zoneTitle(zone)}: ${zone.strips.length} strips in the order laid; arrows show the pull</title>` +
    `<path d="${ringPath(zone.outline)}" fill="#FFFDF8" stroke="${INK}" stroke-width="${n(1.6 * line)}"/>${strips.join('')}` +
    (keep === ''
      ? ''
      : `<clipPath id="zone"><path d="${ringPath(zone.outline)}"/></clipPath><g clip-path="url(#zone)"><title>what stays</title>${keep}</g>`) +
    `${marks.join('')}</svg>`
  );
}
