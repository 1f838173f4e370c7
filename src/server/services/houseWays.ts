// The studio's own choices where practitioners disagree: what decides the plan goes into its schools, what decides the
// consultation into its rules, the rest is said on the tray card. Another choice than the shipped one needs a reason;
// who chose it and why stays.

import 'server-only';
import { FAMILIES } from '../../core/anatomy';
import { HOUSE_WAYS, houseWay, schoolsOf, type HouseWay } from '../../core/house';
import { ok } from '../../core/shared';
import { atomically } from '../db/atomically';
import type { Db, DbOrTx } from '../db/openDatabase';
import type { StudioSettings } from '../db/schema';
import { notFound, refused, stale, type ServiceResult } from '../errors';
import { insertWayChange, wayChangesOf } from '../repos/houseRepo';
import { peopleNames, readStudio, setSettings } from '../repos/studioRepo';
import { changeRule, currentRuleSet } from './consultRules';
import type { By } from './shelfMoves';

export interface WayRow extends HouseWay {
  readonly chosen: string;
  /** Why not the shipped one; empty = it is. */
  readonly reason: string;
  readonly by: string;
  readonly atMs: number | null;
}
export interface HouseWays {
  readonly rows: readonly WayRow[];
  readonly timeZone: string;
  readonly studioVersion: number;
}

/** What the plan is made by now, where a way decides it. */
function plannedBy(db: DbOrTx, settings: StudioSettings, id: string): string | undefined {
  const { schools } = settings;
  const by: Readonly<Record<string, string | undefined>> = {
    hardLay: schools.hardLay,
    shortHair: schools.shortHair,
    sugarWay: schools.sugarWay ?? 'usual',
    maxHardPasses: schools.maxHardPasses === undefined ? undefined : String(schools.maxHardPasses),
    prep: schools.prep,
    readySign: settings.readySign,
    leftovers: settings.choosing?.leftovers?.rest,
    medicine: asksForWord(db) ? 'word' : 'adapt',
  };
  return by[id];
}

export function loadWays(db: Db): ServiceResult<HouseWays> {
  const studio = readStudio(db);
  if (!studio) return notFound('studio');
  const last = new Map(wayChangesOf(db).map((w) => [w.way, w]));
  const names = peopleNames(db);
  const rows = HOUSE_WAYS.map((way): WayRow => {
    const change = last.get(way.id);
    const chosen = plannedBy(db, studio.settings, way.id) ?? change?.choice ?? way.choices[0].id;
    const isOurs = change?.choice === chosen && chosen !== way.choices[0].id;
    return {
      ...way,
      chosen,
      reason: isOurs ? change.reason : '',
      by: isOurs ? (names.get(change.personId ?? '') ?? '') : '',
      atMs: isOurs ? change.atMs : null,
    };
  });
  return ok({ rows, timeZone: studio.timeZone, studioVersion: studio.version });
}

export interface SaveWay {
  readonly version: number;
  readonly way: string;
  readonly choice: string;
  readonly reason: string;
}

export function saveWay(db: Db, { version, way: id, choice, reason }: SaveWay, by: By): ServiceResult<null> {
  return atomically(db, () => {
    const studio = readStudio(db);
    const way = houseWay(id);
    if (!studio) return notFound('studio');
    if (!way?.choices.some((c) => c.id === choice)) return refused('There is no such way.', 'choice');
    if (choice !== way.choices[0].id && reason.trim() === '') {
      return refused('Say why: whoever reads it later wants to know.', 'reason');
    }
    const ruled = id === 'medicine' ? saveMedicine(db, choice, reason, by) : ok(null);
    if (!ruled.ok) return ruled;
    insertWayChange(db, { way: id, choice, reason: reason.trim(), personId: by.personId, atMs: by.atMs });
    const { settings } = studio;
    const { schools: now } = settings;
    const schools = schoolsOf(
      {
        hardLay: now.hardLay ?? 'with',
        shortHair: now.shortHair ?? 'crossed',
        maxHardPasses: now.maxHardPasses ?? 2,
        sugarWay: now.sugarWay,
        prep: now.prep ?? 'powder',
        families: now.families ?? FAMILIES,
      },
      { [id]: choice },
    );
    const readySign = id === 'readySign' ? (choice as StudioSettings['readySign']) : settings.readySign; // its own ids
    const choosing = id === 'leftovers' ? leavingAs(settings.choosing, choice) : settings.choosing;
    return setSettings(db, { ...settings, schools, readySign, choosing }, version) ? ok(null) : stale(null);
  });
}

/** Rules of the consultation that a prescriber's word decides where the house wants it. */
const MEDICINE_RULES = ['blood.thinner', 'blood.steroid'] as const;
const asksForWord = (db: DbOrTx): boolean => {
  const { rules } = currentRuleSet(db);
  const isStopped = (code: string): boolean => rules.some((r) => r.code === code && r.outcome === 'postpone');
  return MEDICINE_RULES.every(isStopped);
};

/** One truth with the rules' own page: it is written there. */
function saveMedicine(db: Db, choice: string, reason: string, { personId, atMs }: By): ServiceResult<null> {
  const outcome = choice === 'word' ? 'postpone' : 'adapt';
  for (const code of MEDICINE_RULES) {
    const done = changeRule(db, { code, outcome, reason: reason.trim() || 'as shipped' }, personId, atMs);
    if (!done.ok) return done;
  }
  return ok(null);
}

type Choosing = StudioSettings['choosing'];
const leavingAs = (choosing: Choosing, rest: string): Choosing => ({
  ...choosing,
  leftovers: { ...choosing?.leftovers, rest: rest === 'stay' ? 'stay' : 'clean-up' },
});

/** Ways of the house that are not the shipped ones and that no plan says: `Gloves: lightly oiled`. */
export const saidWays = (db: DbOrTx): readonly string[] => {
  const last = new Map(wayChangesOf(db).map((w) => [w.way, w.choice]));
  return HOUSE_WAYS.filter((w) => !w.plans).flatMap((w) => {
    const chosen = w.choices.find((c, i) => i > 0 && c.id === last.get(w.id));
    return chosen ? [`${w.name}: ${chosen.name}`] : [];
  });
};
