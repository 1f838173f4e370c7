import { afterEach, describe, expect, it } from 'vitest';
import { deg, degApart, degrees, degSpan, heatSign, heatTyped, readHeat, tellHeatUnit, withHeat } from './heat';

afterEach(() => tellHeatUnit('C'));

describe('heat as the studio reads it', () => {
  it('is °C as long as nobody says otherwise', () => {
    expect([deg(56.4), degrees(56.4), degApart(3), degSpan(53, 59), heatSign()]).toEqual([
      ...['56°', '56 °C', '3°', '53–59°', '°C'],
    ]);
    expect(withHeat('It begins at 54.5 °C.')).toBe('It begins at 54.5 °C.');
  });
  it('knows the fixed points of the scale: ice 32, body 98.6, steam 212 °F', () => {
    tellHeatUnit('F');
    expect([readHeat(0), readHeat(37), readHeat(100)]).toEqual([32, expect.closeTo(98.6, 9), 212]);
    for (const c of [-40, 0, 36.6, 57, 121]) expect(heatTyped(readHeat(c))).toBeCloseTo(c, 9);
    expect(readHeat(-40)).toBe(-40);
  });
  it('says figures, spans and differences', () => {
    tellHeatUnit('F');
    expect([deg(57), degrees(57), degApart(3), degSpan(53, 59), heatSign()]).toEqual([
      ...['135°', '135 °F', '5°', '127–138°', '°F'],
    ]);
  });
  it('turns the degrees in sentences and leaves all other figures', () => {
    tellHeatUnit('F');
    expect(withHeat('The window runs from 50 to 60 °C, 2 coats of 1.5 mm at 54.5 °C.')).toBe(
      'The window runs from 122 to 140 °F, 2 coats of 1.5 mm at 130.1 °F.',
    );
    expect(withHeat('about 50–60 °C at the stick')).toBe('about 122–140 °F at the stick');
    expect(withHeat('Planned 1.5° cooler for this client.')).toBe('Planned 2.7° cooler for this client.');
    expect(withHeat('turned by 20° on the skin')).toBe('turned by 20° on the skin');
  });
});
