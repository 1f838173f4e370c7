import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { USUAL_HOURS } from '../../core/calendar';
import { demoStudio } from '../../demo/studioForTests';
import type { OpenDatabase } from '../db/openDatabase';
import { loadHours, saveHours, type StudioHours } from './hours';

let open: OpenDatabase;
beforeEach(() => {
  open = demoStudio(Date.UTC(2027, 4, 8, 8, 0));
});
afterEach(() => open.close());

const now = (): StudioHours => {
  const loaded = loadHours(open.db);
  if (!loaded.ok) throw new Error(loaded.error.message);
  return loaded.value;
};

describe('the studio’s hours', () => {
  it('are the usual ones until somebody says so, and then those', () => {
    expect(now()).toMatchObject({ hours: USUAL_HOURS, closed: [], isPreset: true });
    const hours = [[{ fromMin: 600, toMin: 720 }], [], [], [], [], [], []];
    const closed = [{ from: '2027-12-24', to: '2027-12-26', why: 'holidays' }];
    expect(saveHours(open.db, { version: now().studioVersion, hours, closed }).ok).toBe(true);
    expect(now()).toMatchObject({ hours, closed, isPreset: false });
  });
  it('are refused whole where a day ends before it begins or a holiday does, and nothing is changed', () => {
    const { studioVersion: version } = now();
    const bad = [[{ fromMin: 720, toMin: 600 }], [], [], [], [], [], []];
    expect(saveHours(open.db, { version, hours: bad, closed: [] })).toMatchObject({ error: { code: 'refused' } });
    const closed = [{ from: '2027-12-26', to: '2027-12-24', why: '' }];
    expect(saveHours(open.db, { version, hours: USUAL_HOURS, closed })).toMatchObject({
      error: { details: [{ path: 'closed[0].to' }] },
    });
    expect(now()).toMatchObject({ isPreset: true, studioVersion: version });
  });
  it('written from another tablet meanwhile are not written over', () => {
    const { studioVersion: version } = now();
    saveHours(open.db, { version, hours: USUAL_HOURS, closed: [] });
    expect(saveHours(open.db, { version, hours: USUAL_HOURS, closed: [] })).toMatchObject({ error: { code: 'stale' } });
  });
});
