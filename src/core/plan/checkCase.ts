// Meaning of a case, beyond its shape: sides, zones given twice or inside another, marks and strokes on the sheet,
// dates in order. All faults are reported together, each with its path.

import { howMuchFor } from '../agreement';
import { INSIDE, POSITION_NAMES, positionsOf, sidesOf, sheetFor, ZONES, zoneKey } from '../anatomy';
import { isSimpleRing } from '../outcomes';
import { checkRuleChange } from '../screening';
import { isCivilDate, regionArea } from '../shared';
import { canFade } from '../strips';
import { allowsThickness, SHIPPED_PRODUCTS, waysOf, type Product } from '../products';
import type { HandStrips, VisitCase, ZoneCase } from './visitCase';

export interface CaseFault {
  readonly path: string;
  readonly message: string;
}

function handStripFaults({ family, way, strips }: HandStrips, path: string): readonly CaseFault[] {
  const worked = SHIPPED_PRODUCTS.some((p) => p.family === family && waysOf(p).includes(way));
  return [
    ...(worked ? [] : [{ path: `${path}.way`, message: `Nothing of the family "${family}" is worked this way.` }]),
    ...strips.flatMap((s, i) =>
      regionArea([s.outline]) > 0 ? [] : [{ path: `${path}.strips[${i}].outline`, message: 'The strip has no area.' }],
    ),
  ];
}

function zoneFaults(
  zone: ZoneCase,
  path: string,
  visit: VisitCase,
  catalogue: readonly Product[],
): readonly CaseFault[] {
  const faults: CaseFault[] = [];
  const facts = ZONES[zone.zone];
  if (!sidesOf(facts).includes(zone.side)) {
    faults.push({
      path: `${path}.side`,
      message: facts.paired ? `${facts.name} has a left and a right side.` : `${facts.name} is in the middle.`,
    });
    return faults;
  }
  const sheet = sheetFor(facts, zone.side, visit.client, zone.sheetCm);
  if (!sheet.ok) return [{ path: `${path}.${sheet.error.path ?? 'sheetCm'}`, message: sheet.error.message }];
  const { widthCm, heightCm } = sheet.value;
  const offBox = ([x, y]: readonly [number, number]): boolean => x < 0 || y < 0 || x > widthCm || y > heightCm;
  const box = `0–${widthCm.toFixed(1)} by 0–${heightCm.toFixed(1)} cm`;
  zone.strokes?.forEach((s, i) => {
    if (offBox(s.at)) {
      faults.push({ path: `${path}.strokes[${i}].at`, message: `The stroke is off the sheet (${box}).` });
    }
    if (Math.hypot(s.towards[0], s.towards[1]) === 0) {
      faults.push({ path: `${path}.strokes[${i}].towards`, message: 'The stroke has no direction.' });
    }
  });
  zone.marks?.forEach((m, i) => {
    if (offBox(m.at)) faults.push({ path: `${path}.marks[${i}].at`, message: `The mark is off the sheet (${box}).` });
    if (m.since !== undefined && m.since > visit.on) {
      faults.push({ path: `${path}.marks[${i}].since`, message: 'The date is after the visit.' });
    }
  });
  zone.densities?.forEach((d, i) => {
    if (offBox(d.at)) {
      faults.push({ path: `${path}.densities[${i}].at`, message: `The place is off the sheet (${box}).` });
    }
  });
  if (zone.product !== undefined) {
    const product = catalogue.find((p) => p.id === zone.product);
    if (!product) faults.push({ path: `${path}.product`, message: `No product "${zone.product}" in the catalogue.` });
    else if (zone.way !== undefined && !waysOf(product).includes(zone.way)) {
      faults.push({ path: `${path}.way`, message: `${product.name} is not worked this way.` });
    }
  }
  if (zone.heat !== undefined) {
    const { product: id, thicknessMm } = zone.heat;
    const product = catalogue.find((p) => p.id === id);
    if (!product) faults.push({ path: `${path}.heat.product`, message: `No product "${id}" in the catalogue.` });
    else {
      if (thicknessMm !== undefined && !allowsThickness(product.manners, thicknessMm)) {
        faults.push({
          path: `${path}.heat.thicknessMm`,
          message: `${product.name} is not laid ${thicknessMm} mm thick: its label names ${Object.values(
            product.manners,
          )
            .map((m) => `${m.thicknessMm.min}–${m.thicknessMm.max} mm`)
            .join(' or ')}.`,
        });
      }
    }
  }
  const outcomes = howMuchFor(zone.zone).map((h) => h.id);
  if (zone.outcome !== undefined && !outcomes.includes(zone.outcome)) {
    faults.push({ path: `${path}.outcome`, message: `${facts.name} knows ${outcomes.join(', ')}.` });
  }
  zone.keep?.forEach((k, i) => {
    if (regionArea([k.outline]) === 0) {
      faults.push({ path: `${path}.keep[${i}].outline`, message: 'What stays has no area.' });
    } else if (!isSimpleRing(k.outline)) {
      faults.push({ path: `${path}.keep[${i}].outline`, message: 'The line round what stays crosses itself.' });
    }
  });
  if (zone.fade === true && !canFade(zone.zone)) {
    faults.push({
      path: `${path}.fade`,
      message: `${facts.name} ends at its border; only shoulder, cheek and upper back are thinned out.`,
    });
  }
  if (zone.position !== undefined && !positionsOf(zone.zone).includes(zone.position)) {
    const possible = positionsOf(zone.zone).map((p) => POSITION_NAMES[p]);
    faults.push({ path: `${path}.position`, message: `${facts.name} is worked ${possible.join(' or ')}.` });
  }
  if (zone.handStrips !== undefined) faults.push(...handStripFaults(zone.handStrips, `${path}.handStrips`));
  const { lengthMm, shortestMm, longestMm } = zone.hair;
  if (shortestMm !== undefined && shortestMm > lengthMm) {
    faults.push({ path: `${path}.hair.shortestMm`, message: 'The shortest hair is longer than the typical one.' });
  }
  if (longestMm !== undefined && longestMm < lengthMm) {
    faults.push({ path: `${path}.hair.longestMm`, message: 'The longest hair is shorter than the typical one.' });
  }
  const { lastWaxOn, past } = zone.hair;
  if (lastWaxOn !== undefined && lastWaxOn > visit.on) {
    faults.push({ path: `${path}.hair.lastWaxOn`, message: 'The last wax is after the visit.' });
  }
  past?.forEach((p, i) => {
    if (p.on >= visit.on) {
      faults.push({ path: `${path}.hair.past[${i}].on`, message: 'A past visit must lie before this one.' });
    }
  });
  return faults;
}

/** Every fault of meaning; empty where the case can be planned. */
export function caseFaults(visit: VisitCase, catalogue: readonly Product[] = SHIPPED_PRODUCTS): readonly CaseFault[] {
  if (!isCivilDate(visit.on)) return [{ path: 'on', message: 'Not a date of the calendar.' }];
  const faults = visit.zones.flatMap((z, i) => zoneFaults(z, `zones[${i}]`, visit, catalogue));
  const keys = visit.zones.map(zoneKey);
  keys.forEach((key, i) => {
    if (keys.indexOf(key) < i) faults.push({ path: `zones[${i}].zone`, message: `${key} is given twice.` });
  });
  visit.zones.forEach((z, i) => {
    const outer = INSIDE[z.zone] ?? [];
    const holder = visit.zones.find((o) => outer.includes(o.zone) && o.side === z.side);
    if (holder) {
      faults.push({ path: `zones[${i}].zone`, message: `${z.zone} lies inside ${holder.zone}, which is also given.` });
    }
  });
  visit.order?.forEach((key, i) => {
    if (!keys.includes(key)) faults.push({ path: `order[${i}]`, message: `${key} is no zone of this visit.` });
  });
  visit.client.screening?.forEach((f, i) => {
    if (f.lastOn !== undefined && f.lastOn > visit.on) {
      faults.push({ path: `client.screening[${i}].lastOn`, message: 'The date is after the visit.' });
    }
    if (f.clearance && f.clearance.on > visit.on) {
      faults.push({ path: `client.screening[${i}].clearance.on`, message: 'The clearance is dated after the visit.' });
    }
    f.zones?.forEach((name, j) => {
      const [zone, side] = name.split('/');
      const known = Object.values(ZONES).find((k) => k.id === zone);
      if (!known || (side !== undefined && !sidesOf(known).some((s) => s === side))) {
        faults.push({ path: `client.screening[${i}].zones[${j}]`, message: `No zone "${name}".` });
      }
    });
  });
  visit.client.heatFelt?.forEach((h, i) => {
    if (h.on > visit.on) faults.push({ path: `client.heatFelt[${i}].on`, message: 'The date is after the visit.' });
  });
  visit.studio?.rules?.forEach((change, i) => {
    const checked = checkRuleChange(change);
    if (!checked.ok) {
      faults.push({ path: `studio.rules[${i}].${checked.error.path ?? 'code'}`, message: checked.error.message });
    }
  });
  visit.client.blackout?.forEach((b, i) => {
    if (b.to < b.from) faults.push({ path: `client.blackout[${i}].to`, message: 'The end lies before the beginning.' });
  });
  visit.studio?.products?.forEach((id, i) => {
    if (!catalogue.some((p) => p.id === id)) {
      faults.push({ path: `studio.products[${i}]`, message: `No product "${id}" in the catalogue.` });
    }
  });
  return faults;
}
