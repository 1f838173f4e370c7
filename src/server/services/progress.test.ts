import { eq } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { demoStudio } from '../../demo/studioForTests';
import type { OpenDatabase } from '../db/openDatabase';
import { charts, visits, worked } from '../db/schema';
import { chartsOf, closedVisits } from '../repos/visitRepo';
import { loadProgress, type Progress } from './progress';
import { progressPdf } from './progressPdf';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
let open: OpenDatabase;
beforeEach(() => {
  open = demoStudio(NOW);
});
afterEach(() => open.close());

const progress = (clientId = 'ottilie'): Progress => {
  const found = loadProgress(open.db, clientId, NOW);
  if (!found.ok) throw new Error(found.error.message);
  return found.value;
};

describe('a client’s progress', () => {
  it('has one point a visit, oldest first, only of what was said, and one sentence of what clearly changed', () => {
    const before = progress();
    expect(before.minutes.length).toBe(before.visits);
    expect(before.visits).toBeGreaterThan(5);
    const days = before.minutes.map((p) => p.on);
    expect(days).toEqual([...days].sort());
    expect(before.words).toMatch(/minutes shorter at the table/);
    expect(before.everyDays).toBeGreaterThan(20);
    // what nobody measured makes no point
    open.db.update(visits).set({ tableMin: null }).run();
    expect(progress().minutes).toEqual([]);
    expect(progress().words).not.toMatch(/at the table/);
  });
  it('names a visit after a shave, and counts who came in the window', () => {
    const [latest, before] = closedVisits(open.db, 'ottilie');
    if (!latest || !before) throw new Error('no visits');
    const [chart] = chartsOf(open.db, latest.id);
    if (!chart) throw new Error('no chart');
    const hair = { ...chart.data.hair, history: 'shaved' as const };
    open.db
      .update(charts)
      .set({ data: { ...chart.data, hair } })
      .where(eq(charts.visitId, latest.id))
      .run();
    expect(progress().density.at(-1)?.odd).toBe('shaved before');
    expect(progress().kept).toEqual({ in: 0, of: 0 });
    const row = {
      visitId: before.id,
      place: 0,
      zone: 'underarm',
      side: 'left' as const,
      product: 'film-hard',
      way: 'with',
    };
    const until = { readyFrom: latest.onDate, readyTo: latest.onDate };
    open.db
      .insert(worked)
      .values({ ...row, ...until, sensitivity: 3 })
      .run();
    expect(progress().kept).toEqual({ in: 1, of: 1 });
    open.db
      .update(worked)
      .set({ readyFrom: '2020-01-01', readyTo: '2020-01-09' })
      .where(eq(worked.visitId, before.id))
      .run();
    expect(progress().kept).toEqual({ in: 0, of: 1 });
  });
  it('shows bare places with area and date, old ones apart, on the sheet as it is now', () => {
    const [latest] = closedVisits(open.db, 'ottilie');
    const [chart] = chartsOf(open.db, latest?.id ?? '');
    if (!latest || !chart) throw new Error('no chart');
    const bare = [
      { at: [3, 4] as const, radiusCm: 2, on: '2026-06-01' },
      { at: [6, 8] as const, radiusCm: 1, on: '2027-04-01' },
    ];
    open.db
      .update(charts)
      .set({ data: { ...chart.data, bare } })
      .where(eq(charts.visitId, latest.id))
      .run();
    const [zone] = progress().bare;
    // π · 2² = 12.6 cm² and π · 1² = 3.1 cm², whole ones
    expect(zone?.places.map((p) => [p.areaCm2, p.isOld])).toEqual([
      [13, true],
      [3, false],
    ]);
    expect(zone?.name).toMatch(/^Underarm/);
  });
  it('goes home on one A5 page with the first name alone, and is whole without a visit', async () => {
    const read = async (clientId: string): Promise<string> =>
      Buffer.from(await new Response(progressPdf(progress(clientId))).arrayBuffer()).toString('latin1');
    for (const id of ['ottilie', 'anselm']) {
      const pdf = await read(id);
      expect(pdf).toContain('/MediaBox [0 0 419.53 595.28]');
      expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(1);
    }
    expect(loadProgress(open.db, 'nobody', NOW).ok).toBe(false);
  });
});
