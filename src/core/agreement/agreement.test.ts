import { describe, expect, it } from 'vitest';
import { INSIDE, sidesOf, ZONE_IDS, ZONES } from '../anatomy';
import {
  CONSENT_TEXT,
  consentTextOf,
  howMuchFor,
  howMuchInWords,
  offeredChoice,
  servicesIn,
  SHIPPED_SERVICES,
  zonesOf,
} from './index';

const key = (z: { readonly zone: string; readonly side: string }): string => `${z.zone}/${z.side}`;
const service = (id: string) => SHIPPED_SERVICES.find((s) => s.id === id) ?? { id: '', name: '', says: '', zones: [] };

describe('services', () => {
  it('hold sides that the zones have, no zone twice, none inside another, and every zone is in some service', () => {
    for (const s of SHIPPED_SERVICES) {
      for (const z of s.zones) expect(sidesOf(ZONES[z.zone])).toContain(z.side);
      expect(new Set(s.zones.map(key)).size).toBe(s.zones.length);
      for (const z of s.zones) expect(s.zones.some((o) => (INSIDE[z.zone] ?? []).includes(o.zone))).toBe(false);
    }
    const covered = new Set(SHIPPED_SERVICES.flatMap((s) => s.zones.map((z) => z.zone)));
    // the nape, the upper arm and the trunk's single zones are added by themselves
    expect(ZONE_IDS.filter((z) => !covered.has(z))).toEqual(['nape', 'upper-arm']);
  });
  it('say where a leg ends (common practice, no source): the lower to just above the knee, the upper from it to the hip', () => {
    expect(service('leg-lower').zones.map((z) => z.zone)).toContain('knee');
    expect(new Set(service('leg-full').zones.map(key))).toEqual(
      new Set(zonesOf([service('leg-lower'), service('leg-upper')]).map(key)),
    );
  });
  it('are recognised by their zones, the larger in place of the smaller within it', () => {
    expect(servicesIn(SHIPPED_SERVICES, service('leg-full').zones).map((s) => s.id)).toEqual(['leg-full']);
    expect(
      servicesIn(SHIPPED_SERVICES, [...service('underarms').zones, ...service('lip').zones]).map((s) => s.id),
    ).toEqual(['underarms', 'lip']);
    expect(servicesIn(SHIPPED_SERVICES, [{ zone: 'underarm', side: 'left' }])).toEqual([]);
  });
});

describe('how much', () => {
  it('has plain words for every zone', () => {
    for (const zone of ZONE_IDS) {
      expect(howMuchFor(zone).length).toBeGreaterThan(0);
      for (const c of howMuchFor(zone)) expect(howMuchInWords(zone, c.id)).toContain(c.says);
      expect(howMuchInWords(zone, 'no such choice')).toContain(howMuchFor(zone)[0]?.says ?? '?');
    }
  });
  it('knows what takes the place of a choice that is offered no more, and never takes more off instead', () => {
    expect(offeredChoice('chest', 'middle')).toBe('middle-only');
    expect(offeredChoice('chin', 'strays')).toBeUndefined();
    expect(offeredChoice('brow', 'tidy')).toBe('tidy');
    expect(offeredChoice('brow', undefined)).toBeUndefined();
    expect(howMuchInWords('chin', 'strays')).toContain('outside the usual line');
  });
  it('offers brows natural, tidy or reshaped in steps, shoulders that fade (common practice, no source)', () => {
    expect(howMuchFor('brow').map((c) => c.id)).toEqual(['natural', 'tidy', 'reshape']);
    expect(howMuchFor('brow')[2]?.says).toMatch(/small steps/);
    expect(howMuchFor('shoulder')[0]?.id).toBe('fade');
  });
});

it('the consent has a version that can be found again', () => {
  expect(consentTextOf(CONSENT_TEXT.version)).toBe(CONSENT_TEXT);
  expect(consentTextOf(0)).toBeUndefined();
  expect(CONSENT_TEXT.paragraphs.join(' ')).toMatch(/burn[\s\S]*end it at any time/);
});
