// The drill of a restore each month: run beside the server, kept with its day, asked for on Today when it is due.

import 'server-only';
import { execFile } from 'node:child_process';
import { join } from 'node:path';
import { addDays, ok } from '../../core/shared';
import type { Drilled } from '../backup/drill';
import { civilDateAt } from '../clock';
import type { Db } from '../db/openDatabase';
import { databaseFile } from '../env';
import { notFound, refused, type ServiceResult } from '../errors';
import { firstLineMs } from '../repos/trailRepo';
import { readStudio, setSettings } from '../repos/studioRepo';
import { cardsPastTerm } from '../keepingCare';
import { trailHasFault } from '../trailCare';

const EVERY_DAYS = 31;
const MOST_MS = 120_000;

/** Runs the drill beside the request thread; what it says, or why it failed. */
function runBeside(): Promise<ServiceResult<Drilled>> {
  const flags = ['--import', 'tsx', '--conditions=react-server', join('scripts', 'drill.ts')];
  const env = { ...process.env, STRICKLE_DB: databaseFile() };
  return new Promise((resolve) => {
    execFile(process.execPath, flags, { env, timeout: MOST_MS }, (error, out, words) => {
      if (error) resolve(refused(words.trim().split('\n').at(-1) ?? 'The backup could not be tried.'));
      else resolve(ok(JSON.parse(out) as Drilled)); // written by scripts/drill.ts
    });
  });
}

export async function tryBackup(
  db: Db,
  nowMs: number,
  run: () => Promise<ServiceResult<Drilled>> = runBeside,
): Promise<ServiceResult<Drilled>> {
  const tried = await run();
  if (!tried.ok) return tried;
  const studio = readStudio(db);
  if (!studio) return notFound('studio');
  const on = civilDateAt(nowMs, studio.timeZone);
  setSettings(db, { ...studio.settings, drilledOn: on }, studio.version);
  return tried;
}

/** What the studio itself needs, for its owner. */
export interface HouseNeed {
  readonly id: 'drill' | 'trail' | 'keeping';
  readonly title: string;
  readonly text: string;
  readonly weight: 'stop' | 'note';
}

export function houseNeeds(db: Db, nowMs: number): readonly HouseNeed[] {
  const studio = readStudio(db);
  if (!studio) return [];
  const today = civilDateAt(nowMs, studio.timeZone);
  const began = firstLineMs(db);
  // a new studio is left alone for a month
  const since = studio.settings.drilledOn ?? (began === null ? today : civilDateAt(began, studio.timeZone));
  const isDue = addDays(since, EVERY_DAYS) <= today;
  return [
    ...(trailHasFault()
      ? [
          {
            id: 'trail' as const,
            title: 'The trail is broken',
            text: 'A line was changed or taken out. It says from where on.',
            weight: 'stop' as const,
          },
        ]
      : []),
    ...(cardsPastTerm() > 0
      ? [
          {
            id: 'keeping' as const,
            title: 'Cards past their term',
            text: `${cardsPastTerm()} of people who have not come for as long as you keep cards.`,
            weight: 'note' as const,
          },
        ]
      : []),
    ...(isDue
      ? [
          {
            id: 'drill' as const,
            title: 'Backups',
            text:
              studio.settings.drilledOn === undefined
                ? 'No backup has been tried yet: one that cannot be put back is none.'
                : `The last one was tried on ${studio.settings.drilledOn}: try one each month.`,
            weight: 'note' as const,
          },
        ]
      : []),
  ];
}
