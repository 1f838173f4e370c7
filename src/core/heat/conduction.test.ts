import { errorFunction as erf } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { buildGrid, conduct, gradedSteps } from './conduction';
import { BURN_PAIRS, CONTACT_PAIRS, secondsToBurn, stefanFront, twoHalfSpaces } from './reference';
import { restingProfile, skinLayers } from './skinHeat';

describe('conduct', () => {
  it.each([2, 10])(
    'meets two half-spaces at the interface temperature and erf profile after %i s (Carslaw & Jaeger, Conduction of Heat in Solids, §2.15)',
    (timeS) => {
      const rows = twoHalfSpaces(erf, timeS, [0.0002, 0.0005, 0.001, 0.002]);
      expect(rows).toHaveLength(4);
      for (const r of rows) expect(Math.abs(r.solved - r.exact)).toBeLessThan(0.05);
    },
  );

  it('moves the front of a one-phase Stefan problem as Neumann found (similarity solution; from memory)', () => {
    const rows = stefanFront(erf);
    expect(rows).toHaveLength(20);
    for (const r of rows.filter((x) => x.at >= 10)) expect(Math.abs(r.solved / r.exact - 1)).toBeLessThan(0.03);
  });

  it('keeps a resting skin at rest', () => {
    const layers = skinLayers({ restingC: 33, epidermisUm: 80, tendernessK: 0 });
    const rest = restingProfile(layers, 33);
    const grid = buildGrid(layers);
    conduct(
      {
        layers,
        grid,
        startC: rest,
        top: { kind: 'held', tempC: 33 },
        bottomC: 37,
        bloodC: 37,
        stepsS: gradedSteps(60),
      },
      (_, temp) => {
        temp.forEach((c, i) => expect(Math.abs(c - (rest[i] ?? 0))).toBeLessThan(1e-6));
      },
    );
  });
});

describe('burn integral through conduction, surface held', () => {
  it.each(BURN_PAIRS)(
    '%i °C: within a factor 4 of %i s (Moritz & Henriques 1947, Am J Pathol 23:695, from memory)',
    (tempC, seconds) => {
      const ours = secondsToBurn(tempC);
      expect(ours).toBeGreaterThan(seconds / 4);
      expect(ours).toBeLessThan(seconds * 4);
    },
  );
  // contact thresholds lie below injury by design: ours must not be later than three times them
  it.each(CONTACT_PAIRS)(
    '%i °C: at most 3 × the contact threshold of %i s (ISO 13732-1, from memory)',
    (tempC, seconds) => {
      expect(secondsToBurn(tempC)).toBeLessThanOrEqual(3 * seconds);
    },
  );
});
