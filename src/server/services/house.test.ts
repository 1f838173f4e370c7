import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { HOUSE_WAYS } from '../../core/house';
import { demoStudio } from '../../demo/studioForTests';
import type { OpenDatabase } from '../db/openDatabase';
import { everybody } from '../repos/houseRepo';
import { readPeople, readServices, readStudio } from '../repos/studioRepo';
import { currentRuleSet } from './consultRules';
import { bookingWanted } from './bookingWanted';
import { changePin, houseAct, loadHouse, type House, type HouseAct } from './house';
import { loadWays, saidWays, saveWay, type WayRow } from './houseWays';
import { consentOf, currentConsent, loadTexts, ownCareWords, saveText } from './ownTexts';
import { personOfPin } from './pin';
import { loadWeek } from './week';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
const LATER = NOW + 400 * 86_400_000;
const BY = { atMs: NOW, personId: 'ines' };
let open: OpenDatabase;
beforeEach(() => {
  open = demoStudio(NOW);
});
afterEach(() => open.close());

const act = (does: HouseAct): string => {
  const done = houseAct(open.db, does, NOW);
  return done.ok ? 'ok' : done.error.message;
};
const house = (): House => {
  const loaded = loadHouse(open.db);
  if (!loaded.ok) throw new Error(loaded.error.code);
  return loaded.value;
};

describe('the studio', () => {
  const facts = () => {
    const { name, timeZone, currency, firstWeekday, roomC, humidityPct, studioVersion } = house();
    const { heatUnit, lengthUnit, weightUnit } = house();
    const units = { heatUnit, lengthUnit, weightUnit };
    return { name, timeZone, currency, firstWeekday, ...units, roomC, humidityPct, version: studioVersion };
  };
  it('keeps name, clock, week and air; refuses a clock that is none, and another currency under the ledger', () => {
    const before = facts();
    expect(act({ studio: { ...before, name: 'Low Tide', firstWeekday: 6, roomC: 24 } })).toBe('ok');
    expect(facts()).toMatchObject({ name: 'Low Tide', firstWeekday: 6, roomC: 24 });
    expect(act({ studio: before })).not.toBe('ok');
    expect(act({ studio: { ...facts(), timeZone: 'Mars/Base' } })).toContain('time zone');
    expect(act({ studio: { ...facts(), currency: 'GBP' } })).toContain('ledger');
    expect(readStudio(open.db)).toMatchObject({ name: 'Low Tide', currency: 'EUR', timeZone: 'Europe/London' });
  });
  it('begins its week on the day that it says', () => {
    // 8 May 2027 is a Saturday
    const from = (): string => {
      const week = loadWeek(open.db, '2027-05-08', NOW);
      return week.ok ? week.value.fromOn : '';
    };
    expect(from()).toBe('2027-05-03');
    act({ studio: { ...facts(), firstWeekday: 6 } });
    expect(from()).toBe('2027-05-02');
  });
});

describe('people', () => {
  it('come, change, and go only when nothing of theirs lies ahead and somebody stays', () => {
    expect(act({ newPerson: { name: 'Mara', level: 'trainee', role: 'trainee' } })).toBe('ok');
    const mara = house().people.find((p) => p.name === 'Mara');
    expect(mara).toMatchObject({ level: 'trainee', active: true, hasPin: false, does: null });
    const of = {
      id: mara?.id ?? '',
      name: 'Mara',
      level: 'expert' as const,
      role: 'practitioner' as const,
      does: null,
    };
    expect(act({ person: { ...of, active: false } })).toBe('ok');
    expect(readPeople(open.db).map((p) => p.name)).not.toContain('Mara');
    const bao = { id: 'bao', name: 'Bao', level: 'expert' as const, role: 'practitioner' as const, does: null };
    expect(act({ person: { ...bao, active: false } })).toContain('ahead');
    const ines = { id: 'ines', name: 'Ines', level: 'practised' as const, active: true, does: null };
    expect(act({ person: { ...ines, role: 'desk' } })).toBe('One owner has to stay.');
    expect(act({ person: { ...bao, role: 'owner', active: true } })).toBe('ok');
    expect(act({ person: { ...ines, role: 'desk' } })).toBe('ok');
    expect(readPeople(open.db).map((p) => p.name)).toContain('Ines');
  });
  it('are never all gone', () => {
    // long after the last booking
    const leave = (id: string): string => {
      const person = everybody(open.db).find((p) => p.id === id);
      if (!person) throw new Error(id);
      const { name, level, role } = person;
      const done = houseAct(open.db, { person: { id, name, level, role, does: null, active: false } }, LATER);
      return done.ok ? 'ok' : done.error.message;
    };
    const ids = readPeople(open.db).map((p) => p.id);
    expect(ids).toEqual(expect.arrayContaining(['ines', 'bao', 'rook']));
    expect(ids.filter((id) => id !== 'ines').map(leave)).toEqual(ids.slice(1).map(() => 'ok'));
    expect(leave('ines')).toBe('Somebody has to work here.');
    expect(readPeople(open.db).map((p) => p.id)).toEqual(['ines']);
  });
  it('do the services that are said, and are booked for no others', () => {
    const rook = { id: 'rook', name: 'Rook', level: 'trainee' as const, role: 'trainee' as const, active: true };
    expect(act({ person: { ...rook, does: ['underarms'] } })).toBe('ok');
    const wanted = (service: string): string => {
      const asked = bookingWanted(open.db, { clientId: 'ottilie', personId: 'rook', services: [service] });
      return asked.ok ? 'ok' : asked.error.message;
    };
    expect(wanted('underarms')).toBe('ok');
    expect(wanted('brows')).toBe('Rook does not do brows.');
    expect(act({ person: { ...rook, does: ['hairdo'] } })).toContain('no such service');
    expect(act({ person: { ...rook, does: null } })).toBe('ok');
    expect(wanted('brows')).toBe('ok');
  });
  it('change their PIN with the one until now; wrong ones are counted and make the next wait', async () => {
    const change = async (old: string | null, pin: string, atMs = NOW): Promise<string> => {
      const done = await changePin(open.db, { id: 'ines', old, pin }, atMs);
      return done.ok ? 'ok' : done.error.message;
    };
    expect(await change(null, '2468')).toBe('ok');
    expect(await personOfPin(open.db, '2468')).toBe('ines');
    for (let k = 0; k < 3; k++) expect(await change('0000', '1111')).toContain('until now');
    expect(await change('2468', '1111')).toContain('wait');
    expect(await change('2468', '1357', NOW + 20_000)).toBe('ok');
    expect(await personOfPin(open.db, '1357')).toBe('ines');
    expect(await personOfPin(open.db, '2468')).toBeNull();
  });
});

describe('services', () => {
  const zones = [{ zone: 'nape', side: 'middle' }] as const;
  it('of one’s own stand beside the shipped ones, and end without being forgotten', () => {
    const shipped = readServices(open.db).length;
    expect(act({ service: { id: null, name: 'Nape', says: 'Under the hairline.', zones } })).toBe('ok');
    expect(readServices(open.db)).toHaveLength(shipped + 1);
    expect(act({ service: { id: null, name: 'nape', says: '', zones } })).toContain('already');
    const own = readServices(open.db).find((s) => s.name === 'Nape');
    expect(act({ noService: { id: own?.id ?? '' } })).toBe('ok');
    expect(act({ noService: { id: own?.id ?? '' } })).toContain('No such');
    expect(readServices(open.db)).toHaveLength(shipped);
    expect(
      act({
        service: { id: 'lip', name: 'Lip', says: 'Between nose and lip.', zones: [{ zone: 'nape', side: 'left' }] },
      }),
    ).toContain('no left side');
    expect(readServices(open.db).find((s) => s.id === 'lip')?.name).toBe('Upper lip');
  });
});

describe('house rules', () => {
  const rows = (): readonly WayRow[] => {
    const loaded = loadWays(open.db);
    return loaded.ok ? loaded.value.rows : [];
  };
  const save = (way: string, choice: string, reason: string): string => {
    const version = readStudio(open.db)?.version ?? 0;
    const done = saveWay(open.db, { version, way, choice, reason }, BY);
    return done.ok ? 'ok' : done.error.message;
  };
  it('are all as shipped at first, each with why', () => {
    expect(rows().map((r) => r.chosen)).toEqual(HOUSE_WAYS.map((w) => w.choices[0].id));
    expect(rows().every((r) => r.why !== '' && r.choices.length > 1)).toBe(true);
    expect(saidWays(open.db)).toEqual([]);
  });
  it('another choice needs a reason, keeps who and why, and decides the plan or is said', () => {
    expect(save('hardLay', 'against', ' ')).toContain('why');
    expect(save('hardLay', 'against', 'our clients have it so')).toBe('ok');
    expect(readStudio(open.db)?.settings.schools.hardLay).toBe('against');
    expect(rows().find((r) => r.id === 'hardLay')).toMatchObject({
      reason: 'our clients have it so',
      by: 'Ines',
      atMs: NOW,
    });
    expect(save('sugarWay', 'strip', 'less mess')).toBe('ok');
    expect(save('readySign', 'taps-hard', 'louder')).toBe('ok');
    expect(readStudio(open.db)?.settings).toMatchObject({
      readySign: 'taps-hard',
      schools: { sugarWay: 'strip', hardLay: 'against' },
    });
    expect(save('gloves', 'oiled', 'sticky room')).toBe('ok');
    expect(saidWays(open.db)).toEqual(['Gloves: lightly oiled']);
    expect(save('sugarWay', 'usual', '')).toBe('ok');
    expect(readStudio(open.db)?.settings.schools.sugarWay).toBeUndefined();
    expect(save('leftovers', 'stay', 'short visits')).toBe('ok');
    expect(readStudio(open.db)?.settings.choosing?.leftovers?.rest).toBe('stay');
    expect(save('hardLay', 'sideways', 'x')).toContain('no such way');
    expect(() => open.db.run("update way_changes set reason = ''" as never)).toThrow();
  });
});

describe('a medicine', () => {
  it('waits for the prescriber’s word where the house wants it: the consultation itself says so, and never to stop it', () => {
    const outcome = (): string | undefined =>
      currentRuleSet(open.db).rules.find((r) => r.code === 'blood.thinner')?.outcome;
    const save = (choice: string, reason: string): boolean =>
      saveWay(open.db, { version: readStudio(open.db)?.version ?? 0, way: 'medicine', choice, reason }, BY).ok;
    expect(outcome()).toBe('adapt');
    expect(save('word', 'our insurer wants it')).toBe(true);
    expect(outcome()).toBe('postpone');
    const rows = loadWays(open.db);
    expect(rows.ok && rows.value.rows.find((r) => r.id === 'medicine')?.chosen).toBe('word');
    expect(saidWays(open.db)).toEqual([]);
    expect(save('adapt', '')).toBe(true);
    expect(outcome()).toBe('adapt');
  });
});

describe('texts', () => {
  it('are kept in versions: what was signed stays readable in its own words', () => {
    const shipped = currentConsent(open.db);
    expect(saveText(open.db, { kind: 'consent', words: 'First.\n\nSecond.' }, BY).ok).toBe(true);
    const own = currentConsent(open.db);
    expect(own.paragraphs).toEqual(['First.', 'Second.']);
    expect(own.guardian).toBe(shipped.guardian);
    saveText(open.db, { kind: 'consent', words: 'Other.' }, BY);
    saveText(open.db, { kind: 'consent', words: 'Other.' }, BY);
    expect(currentConsent(open.db).paragraphs).toEqual(['Other.']);
    expect(consentOf(open.db, own.version)?.paragraphs).toEqual(['First.', 'Second.']);
    expect(consentOf(open.db, shipped.version)).toEqual(shipped);
    expect(consentOf(open.db, 999_999)).toBeUndefined();
    const texts = loadTexts(open.db);
    expect(texts.ok && texts.value.texts[0]?.versions).toHaveLength(2);
    saveText(open.db, { kind: 'consent', words: '' }, BY);
    expect(currentConsent(open.db).paragraphs).toEqual(shipped.paragraphs);
  });
  it('add the studio’s own words to the card', () => {
    expect(ownCareWords(open.db)).toBe('');
    saveText(open.db, { kind: 'care', words: 'Ring the blue bell.' }, BY);
    expect(ownCareWords(open.db)).toBe('Ring the blue bell.');
  });
});
