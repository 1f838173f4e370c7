import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { sql } from 'drizzle-orm';
import { demoStudio } from '../../demo/studioForTests';
import type { OpenDatabase } from '../db/openDatabase';
import { readPeople } from '../repos/studioRepo';
import { answerDrill, loadDrills } from './drills';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
const DAY_MS = 86_400_000;
let open: OpenDatabase;
beforeEach(() => {
  open = demoStudio(NOW);
});
afterEach(() => open.close());

const by = (personId: string | null, atMs = NOW): { atMs: number; personId: string | null } => ({ atMs, personId });

describe('drills of a person', () => {
  it('keeps what was answered, works out itself whether it is right, and asks something else next', () => {
    const first = loadDrills(open.db, null, NOW);
    expect(first).toMatchObject({ skill: 'strip:lift', answered: 0 });
    expect(answerDrill(open.db, { skill: 'strip:lift', seed: first.seed, answer: 'lift' }, by(null)).ok).toBe(true);
    expect(answerDrill(open.db, { skill: 'pot:lay', seed: 9, answer: 'cooler' }, by(null)).ok).toBe(true);
    const then = loadDrills(open.db, null, NOW);
    expect(then).toMatchObject({ answered: 2, right: 1 });
    expect([then.skill === first.skill, then.seed === first.seed]).toEqual([false, false]);
  });
  it('what was missed is asked again before what was known', () => {
    answerDrill(open.db, { skill: 'strip:slack', seed: 1, answer: 'slack' }, by(null));
    answerDrill(open.db, { skill: 'strip:late', seed: 2, answer: 'early' }, by(null));
    const due = (skill: string): number =>
      loadDrills(open.db, null, NOW).standings.find((s) => s.skill === skill)?.dueMs ?? NaN;
    expect(due('strip:late')).toBeLessThan(due('strip:slack'));
    expect(loadDrills(open.db, null, NOW + DAY_MS).skill).toBe('strip:late');
  });
  it('keeps people apart', () => {
    const [ines, bao] = readPeople(open.db).map((p) => p.id);
    if (!ines || !bao) throw new Error('two people');
    answerDrill(open.db, { skill: 'strip:lift', seed: 1, answer: 'lift' }, by(ines));
    expect([ines, bao, null].map((id) => loadDrills(open.db, id, NOW).answered)).toEqual([1, 0, 0]);
  });
  it('takes no question that there is not and no answer that was not offered, and keeps nothing of it', () => {
    const refusals = [
      { skill: 'strip:nothing', seed: 1, answer: 'lift' },
      { skill: 'strip:lift', seed: 1, answer: 'go' },
    ].map((body) => answerDrill(open.db, body, by(null)));
    expect(refusals.map((r) => (r.ok ? '' : r.error.message))).toEqual([
      'There is no such question.',
      'That is none of the answers.',
    ]);
    expect(loadDrills(open.db, null, NOW).answered).toBe(0);
  });
  it('an answer given stays as it was given', () => {
    answerDrill(open.db, { skill: 'strip:lift', seed: 1, answer: 'slack' }, by(null));
    expect(() => open.db.run(sql`update drill_answers set right = 1`)).toThrow();
    expect(() => open.db.run(sql`delete from drill_answers`)).toThrow();
  });
});
