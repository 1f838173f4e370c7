import { mkdtempSync, symlinkSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { openDatabase } from '../db/openDatabase';
import { readStudio } from '../repos/studioRepo';
import { setUpStudio } from './setUpStudio';
import { isTimeZone, machineZone, mendTimeZone } from './timeZone';

describe('the time zone of the studio', () => {
  it('is one of the IANA database', () => {
    expect(['Europe/London', 'Pacific/Auckland', 'UTC'].map(isTimeZone)).toEqual([true, true, true]);
    expect([undefined, '', 'Foo/Bar', 'Etc/Unknown', ':/etc/localtime'].map(isTimeZone)).toEqual(
      Array.from({ length: 5 }, () => false),
    );
  });
  it('is the machine’s, by its own link where Node.js cannot tell it', () => {
    const folder = mkdtempSync(join(tmpdir(), 'strickle-zone-'));
    const link = join(folder, 'localtime');
    symlinkSync('/usr/share/zoneinfo/Pacific/Auckland', link);
    expect(machineZone('Europe/London', link)).toBe('Europe/London');
    expect(machineZone('Etc/Unknown', link)).toBe('Pacific/Auckland');
    expect(machineZone('', link)).toBe('Pacific/Auckland');
  });
  it('is asked for in words where nothing tells it', () => {
    expect(() => machineZone('Etc/Unknown', '/nowhere')).toThrow('TZ=Europe/London npm start');
  });
  it('that was stored and cannot be used is mended, so that no page fails for good', () => {
    const { db, close } = openDatabase(join(mkdtempSync(join(tmpdir(), 'strickle-zone-')), 'studio.sqlite'));
    setUpStudio(db, 'Etc/Unknown');
    const zone = mendTimeZone(db);
    expect(isTimeZone(zone ?? '')).toBe(true);
    expect(readStudio(db)?.timeZone).toBe(zone);
    expect(mendTimeZone(db)).toBeNull();
    close();
  });
});
