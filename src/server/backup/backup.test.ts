import { copyFileSync, existsSync, mkdtempSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { demoStudio } from '../../demo/studioForTests';
import { openDatabase } from '../db/openDatabase';
import { holdFile } from '../db/oneServer';
import { EMPTY_PROFILE } from '../db/upSteps';
import { createClient } from '../services/clients';
import { searchClients } from '../services/clientSearch';
import { backUp, backupFolder, checkFile, dailyBackup, restore } from './backup';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
const folder = (): string => mkdtempSync(join(tmpdir(), 'strickle-backup-'));
const add = (db: ReturnType<typeof demoStudio>['db'], name: string): void => {
  const fields = { name, byline: '', bornOn: null, phone: '', note: '', profile: EMPTY_PROFILE };
  if (!createClient(db, fields, NOW).ok) throw new Error('a client');
};
const namesIn = (file: string): readonly string[] => {
  const { db, close } = openDatabase(file);
  const names = searchClients(db, '', NOW).map((c) => c.name);
  close();
  return names;
};

describe('a backup', () => {
  it('holds the last act, also while the studio is open and its log not folded in', async () => {
    const studio = demoStudio(NOW);
    add(studio.db, 'Last Written');
    const to = join(folder(), 'copy.sqlite');
    await backUp(studio.file, to, null);
    studio.close();
    expect(namesIn(to)).toContain('Last Written');
    expect(statSync(to).mode & 0o777).toBe(0o600);
    expect(checkFile(to)).toBeNull();
  });
  it('under a passphrase gives nothing away, and comes back with it only', async () => {
    const studio = demoStudio(NOW);
    add(studio.db, 'Known By Nobody');
    studio.close();
    const to = join(folder(), 'copy.sealed');
    await backUp(studio.file, to, 'a long pass phrase');
    expect(readFileSync(to).includes('Known By Nobody')).toBe(false);
    expect(readdirSync(join(to, '..'))).toEqual(['copy.sealed']);
    const data = join(folder(), 'studio.sqlite');
    const stamp = 'now';
    await expect(restore(to, data, { passphrase: null, stamp })).rejects.toThrow('passphrase');
    await expect(restore(to, data, { passphrase: 'another', stamp })).rejects.toThrow(
      'wrong, or the backup was changed',
    );
    const bent = readFileSync(to);
    bent[5000] = (bent[5000] ?? 0) ^ 1;
    const changed = join(folder(), 'bent.sealed');
    writeFileSync(changed, bent);
    await expect(restore(changed, data, { passphrase: 'a long pass phrase', stamp })).rejects.toThrow('was changed');
    expect(existsSync(data)).toBe(false);
    await restore(to, data, { passphrase: 'a long pass phrase', stamp });
    expect(namesIn(data)).toContain('Known By Nobody');
  });
});

describe('restore', () => {
  it('keeps what was there before, and puts the backup in its place', async () => {
    const studio = demoStudio(NOW);
    const to = join(folder(), 'copy.sqlite');
    await backUp(studio.file, to, null);
    add(studio.db, 'Written Later');
    studio.close();
    const { before } = await restore(to, studio.file, { passphrase: null, stamp: 'now' });
    expect(namesIn(studio.file)).not.toContain('Written Later');
    expect(before && namesIn(before)).toContain('Written Later');
  });
  it('refuses a file that is damaged, another program’s or empty, and while a server runs, and changes nothing', async () => {
    const studio = demoStudio(NOW);
    studio.close();
    const good = readFileSync(studio.file);
    const bad = join(folder(), 'bad.sqlite');
    writeFileSync(bad, Buffer.concat([good.subarray(0, 40_000), Buffer.alloc(60_000, 3), good.subarray(100_000)]));
    const empty = join(folder(), 'empty.sqlite');
    writeFileSync(empty, '');
    const options = { passphrase: null, stamp: 'now' };
    await expect(restore(bad, studio.file, options)).rejects.toThrow(/damaged|no good/);
    await expect(restore(empty, studio.file, options)).rejects.toThrow('empty');
    await expect(restore(join(folder(), 'none'), studio.file, options)).rejects.toThrow('There is no file');
    const server = holdFile(studio.file);
    const copy = join(folder(), 'copy.sqlite');
    copyFileSync(studio.file, copy);
    await expect(restore(copy, studio.file, options)).rejects.toThrow('Another Strickle is running');
    server.release();
    expect(readFileSync(studio.file).equals(good)).toBe(true);
    expect(existsSync(`${studio.file}.incoming`)).toBe(false);
  });
});

describe('dailyBackup', () => {
  it('is made once a day and once a month, and keeps fourteen days and twelve months', async () => {
    const studio = demoStudio(NOW);
    const kept = backupFolder(studio.file);
    expect(await dailyBackup(studio.file, '2027-01-31')).toHaveLength(2);
    expect(await dailyBackup(studio.file, '2027-01-31')).toEqual([]);
    expect(await dailyBackup(studio.file, '2027-02-01')).toHaveLength(2);
    // the rest by name only: what is kept does not depend on what is in them
    for (let d = 2; d <= 20; d++) writeFileSync(join(kept, `day-2027-02-${String(d).padStart(2, '0')}.sqlite`), '');
    for (let m = 1; m <= 12; m++) writeFileSync(join(kept, `month-2026-${String(m).padStart(2, '0')}.sqlite`), '');
    await dailyBackup(studio.file, '2027-02-21');
    studio.close();
    const names = readdirSync(kept).sort();
    expect(names.filter((n) => n.startsWith('day-'))).toHaveLength(14);
    expect(names[0]).toBe('day-2027-02-08.sqlite');
    const months = names.filter((n) => n.startsWith('month-'));
    expect(months).toHaveLength(12);
    expect(months[0]).toBe('month-2026-03.sqlite');
  });
});
