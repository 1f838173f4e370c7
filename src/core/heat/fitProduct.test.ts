import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ZONES } from '../anatomy';
import { SHIPPED_PRODUCTS, viscosityLaw, type Product } from '../products';
import { fitProduct, SLOW_FLOW_PAS, type FittedProduct, type SeenProduct } from './fitProduct';
import { solveSkinHeat } from './skinHeat';

const product = (id: string): Product => {
  const found = SHIPPED_PRODUCTS.find((p) => p.id === id);
  if (!found) throw new Error(id);
  return found;
};
const film = product('film-hard');
const coat = { touchC: 56, thicknessMm: 2, roomC: 22 };
const fitted = (template: Product, seen: SeenProduct): FittedProduct => {
  const made = fitProduct(template, seen);
  if (!made.ok) throw new Error(made.error.code);
  return made.value;
};
/** What would be seen of a product, by the model itself. */
function seenOf(p: Product): SeenProduct {
  const afterS = solveSkinHeat({
    product: p,
    touchC: coat.touchC,
    thicknessMm: coat.thicknessMm,
    skin: ZONES.forearm.skin,
    roomC: coat.roomC,
    endS: 240,
  }).setAfterS;
  return {
    slowAtC: viscosityLaw(p.viscosity).tempForPaS(SLOW_FLOW_PAS),
    sets: afterS === null ? null : { afterS, ...coat },
  };
}

describe('fitting a product to what is seen', () => {
  it('finds a known product again from another one of its body', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -4, max: 4, noNaN: true }),
        fc.double({ min: -6, max: 6, noNaN: true }),
        (midK, flowK) => {
          const setting = film.setting;
          if (!setting) throw new Error('film wax sets');
          const [[a, b], [c, d]] = film.viscosity;
          const hidden: Product = {
            ...film,
            setting: { ...setting, midC: setting.midC + midK },
            viscosity: [
              [a, b + flowK],
              [c, d + flowK],
            ],
          };
          const { product: found, residual } = fitted(film, seenOf(hidden));
          expect(found.setting?.midC).toBeCloseTo(hidden.setting?.midC ?? 0, 0);
          for (const t of [52, 56, 60]) {
            expect(viscosityLaw(found.viscosity).atC(t) / viscosityLaw(hidden.viscosity).atC(t)).toBeCloseTo(1, 1);
          }
          expect(Math.abs(residual.setS ?? 99)).toBeLessThan(1);
          expect(Math.abs(residual.slowAtK)).toBeLessThan(0.05);
        },
      ),
      { seed: 5, numRuns: 12 },
    );
  });
  it('sets later the lower the midpoint: a slower coat, a lower one', () => {
    const mid = (afterS: number): number =>
      fitted(film, { slowAtC: 54, sets: { afterS, ...coat } }).product.setting?.midC ?? 0;
    expect(mid(20)).toBeGreaterThan(mid(30));
    expect(mid(30)).toBeGreaterThan(mid(45));
  });
  it('keeps what cannot be seen, and the distance from setting to brittle', () => {
    const { product: p } = fitted(film, { slowAtC: 56, sets: { afterS: 28, ...coat } });
    expect({ ...p, setting: null, viscosity: null }).toEqual({ ...film, setting: null, viscosity: null });
    expect((p.setting?.midC ?? 0) - (p.setting?.brittleC ?? 0)).toBeCloseTo(
      (film.setting?.midC ?? 0) - (film.setting?.brittleC ?? 0),
      9,
    );
  });
  it('shows what does not fit', () => {
    // a thick coat laid at 75 °C cannot have set at once, whatever its midpoint within reach
    const { residual } = fitted(film, { slowAtC: 54, sets: { afterS: 0.01, touchC: 75, thicknessMm: 3, roomC: 22 } });
    expect(residual.setS).toBeGreaterThan(1);
  });
  it('fits soft wax by its flow alone, and refuses a set time for it and figures that no wax has', () => {
    const soft = product('soft');
    expect(fitted(soft, { slowAtC: 40, sets: null }).residual).toMatchObject({ setS: null });
    expect(fitProduct(soft, { slowAtC: 40, sets: { afterS: 20, ...coat } })).toMatchObject({
      ok: false,
      error: { code: 'fit.no-setting' },
    });
    expect(fitProduct(film, { slowAtC: 15, sets: null })).toMatchObject({
      ok: false,
      error: { code: 'fit.out-of-range', path: 'slowAtC' },
    });
    expect(fitProduct(film, { slowAtC: 55, sets: { afterS: -3, ...coat } })).toMatchObject({
      ok: false,
      error: { path: 'sets' },
    });
  });
});
