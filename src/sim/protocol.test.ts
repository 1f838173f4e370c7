import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED_PRODUCTS } from '../core/products';
import {
  FAULTS,
  lineCutter,
  MOST_LETTERS,
  sensorLine,
  sensorText,
  toldLine,
  toldText,
  type ToldLine,
} from './protocol';

const [product] = SHIPPED_PRODUCTS;
if (!product) throw new Error('no product is shipped');

describe('the language of the pot sensor', () => {
  it('is read as docs/pot-sensor.md writes it', () => {
    expect(sensorLine('STRICKLE-POTS 1 SIMULATED')).toEqual({ kind: 'hello', simulated: true });
    expect(sensorLine('STRICKLE-POTS 1')).toEqual({ kind: 'hello', simulated: false });
    expect(sensorLine('HEAT 2 1795980259773 56.4')).toEqual({
      kind: 'heat',
      channel: 2,
      atMs: 1_795_980_259_773,
      tempC: 56.4,
    });
    expect(sensorLine('LOST 2')).toEqual({ kind: 'lost', channel: 2 });
    expect(toldLine('SET 1 57.5')).toEqual({ kind: 'set', channel: 1, setC: 57.5 });
    expect(toldLine('SET 1 OFF')).toEqual({ kind: 'set', channel: 1, setC: null });
    expect(toldLine('FAULT 1 STUCK')).toEqual({ kind: 'fault', channel: 1, fault: 'STUCK' });
    expect(toldLine('PACE 60')).toEqual({ kind: 'pace', times: 60 });
  });
  it('takes no line that is none', () => {
    const bad = [
      '',
      'HEAT',
      'HEAT 0 1 50',
      'HEAT 17 1 50',
      'HEAT 1 1 abc',
      'HEAT 1 1 900',
      'HEAT 1 1 50 9',
      'LOST',
      'x',
    ];
    expect(bad.map(sensorLine)).toEqual(bad.map(() => null));
    const wrong = [
      'SET 1',
      'SET 1 200',
      'SET x 50',
      'FAULT 1 FIRE',
      'PACE 0',
      'POT 1 {',
      'POT 1 {}',
      'POT 1 null',
      'GO',
    ];
    expect(wrong.map(toldLine)).toEqual(wrong.map(() => null));
  });
  it('says what it can read again', () => {
    const pot = { product, waxG: 400, tempC: 22, setC: null, roomC: 22 };
    const lines: readonly ToldLine[] = [
      { kind: 'pot', channel: 3, pot },
      { kind: 'set', channel: 1, setC: 57 },
      ...FAULTS.map((fault) => ({ kind: 'fault' as const, channel: 16, fault })),
      { kind: 'pace', times: 30 },
    ];
    expect(lines.map((l) => toldLine(toldText(l)))).toEqual(lines);
    expect(sensorLine(sensorText({ kind: 'answer', ok: false, words: 'SET: no pot on 4' }))).toEqual({
      kind: 'answer',
      ok: false,
      words: 'SET: no pot on 4',
    });
  });
  it('never throws, whatever comes (property)', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), (text) => {
        expect(() => [sensorLine(text), toldLine(text), toldLine(`POT 1 ${text}`)]).not.toThrow();
      }),
      { seed: 7, numRuns: 500 },
    );
  });
});

describe('lineCutter', () => {
  it('gives the same lines however they are cut (property)', () => {
    const lines = ['STRICKLE-POTS 1', 'HEAT 1 1 50.0', 'LOST 2'];
    const whole = `${lines.join('\r\n')}\n`;
    fc.assert(
      fc.property(fc.array(fc.nat({ max: whole.length }), { maxLength: 8 }), (cuts) => {
        const got: string[] = [];
        const cut = lineCutter(
          (l) => got.push(l),
          () => got.push('too long'),
        );
        const at = [0, ...cuts.toSorted((a, b) => a - b), whole.length];
        at.slice(1).forEach((end, i) => cut(whole.slice(at[i], end)));
        expect(got).toEqual(lines);
      }),
      { seed: 5 },
    );
  });
  it('drops a line that never ends, and reads the next', () => {
    const got: string[] = [];
    const cut = lineCutter(
      (l) => got.push(l),
      () => got.push('too long'),
    );
    cut('x'.repeat(MOST_LETTERS + 1));
    cut('LOST 1\n');
    expect(got).toEqual(['too long', 'LOST 1']);
  });
});
