import { describe, expect, it } from 'vitest';
import { minutesOfService, minutesOfServices } from './serviceMinutes';
import { SHIPPED_SERVICES } from './services';

const named = (id: string) => {
  const found = SHIPPED_SERVICES.find((s) => s.id === id);
  if (!found) throw new Error(id);
  return found;
};

describe('how long a service is booked', () => {
  it('is known of each that ships, within what a visit can be', () => {
    const strange = SHIPPED_SERVICES.filter((s) => {
      const minutes = minutesOfService(s);
      return minutes < 10 || minutes > 90 || minutes % 5 !== 0;
    });
    expect(strange).toEqual([]);
  });
  it('grows with what is taken off (common practice, no source)', () => {
    const of = (id: string): number => minutesOfService(named(id));
    expect(of('lip')).toBeLessThan(of('brows'));
    expect(of('leg-lower')).toBeLessThan(of('leg-full'));
    expect(of('bikini-edge')).toBeLessThan(of('bikini-extended'));
    expect(of('bikini-extended')).toBeLessThan(of('bikini-complete'));
  });
  it('counts preparing once, takes the studio’s own word, and is made from zones for a service of its own', () => {
    expect(minutesOfServices([named('lip'), named('brows')])).toBe(30);
    expect(minutesOfServices([named('lip')], { lip: 25 })).toBe(25);
    expect(minutesOfServices([])).toBe(0);
    expect(minutesOfService({ id: 'own', zones: [{ zone: 'nape', side: 'middle' }] })).toBe(20);
  });
});
