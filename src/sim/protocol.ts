// The language of the pot sensor, line by line (docs/pot-sensor.md): what the sensor tells, what it is told. Numbers in
// °C and g, instants in epoch ms. A line that is none is answered with NO and changes nothing.

import type { Product } from '../core/products';

/** First word of the sensor; `SIMULATED` stands behind it where nothing is really measured. */
const GREETING = 'STRICKLE-POTS 1';
/** A longer line is none. */
export const MOST_LETTERS = 8000;
export const FAULTS = ['NONE', 'DROPOUT', 'DRIFT', 'STUCK'] as const;
export type PotFault = (typeof FAULTS)[number];
export const MOST_CHANNELS = 16;

/** What stands under a probe; only a simulated one wants to know. */
export interface PotUnderProbe {
  readonly product: Product;
  readonly waxG: number;
  readonly tempC: number;
  /** Null = off. */
  readonly setC: number | null;
  readonly roomC: number;
}

export type SensorLine =
  | { readonly kind: 'hello'; readonly simulated: boolean }
  | { readonly kind: 'heat'; readonly channel: number; readonly atMs: number; readonly tempC: number }
  | { readonly kind: 'lost'; readonly channel: number }
  | { readonly kind: 'answer'; readonly ok: boolean; readonly words: string };

export type ToldLine =
  | { readonly kind: 'pot'; readonly channel: number; readonly pot: PotUnderProbe }
  | { readonly kind: 'set'; readonly channel: number; readonly setC: number | null }
  | { readonly kind: 'fault'; readonly channel: number; readonly fault: PotFault }
  | { readonly kind: 'pace'; readonly times: number };

const NUMBER = /^-?\d{1,13}(?:\.\d{1,3})?$/;
const numberOf = (word: string | undefined): number | null =>
  word !== undefined && NUMBER.test(word) ? Number(word) : null;
function channelOf(word: string | undefined): number | null {
  const n = numberOf(word);
  return n !== null && Number.isInteger(n) && n >= 1 && n <= MOST_CHANNELS ? n : null;
}
const heatOf = (word: string | undefined): number | null => {
  const n = numberOf(word);
  return n !== null && n >= -20 && n <= 250 ? n : null;
};

/** A line of the sensor; null where it is none. */
export function sensorLine(line: string): SensorLine | null {
  if (line.length > MOST_LETTERS) return null;
  if (line === GREETING || line === `${GREETING} SIMULATED`) {
    return { kind: 'hello', simulated: line !== GREETING };
  }
  const [word, ...rest] = line.split(' ');
  if (word === 'OK' || word === 'NO') return { kind: 'answer', ok: word === 'OK', words: rest.join(' ') };
  const channel = channelOf(rest[0]);
  if (channel === null) return null;
  if (word === 'LOST' && rest.length === 1) return { kind: 'lost', channel };
  const [atMs, tempC] = [numberOf(rest[1]), heatOf(rest[2])];
  if (word !== 'HEAT' || rest.length !== 3 || atMs === null || atMs <= 0 || tempC === null) return null;
  return { kind: 'heat', channel, atMs, tempC };
}

export function sensorText(line: SensorLine): string {
  switch (line.kind) {
    case 'hello':
      return line.simulated ? `${GREETING} SIMULATED` : GREETING;
    case 'heat':
      return `HEAT ${line.channel} ${line.atMs} ${line.tempC.toFixed(1)}`;
    case 'lost':
      return `LOST ${line.channel}`;
    case 'answer':
      return `${line.ok ? 'OK' : 'NO'} ${line.words}`;
  }
}

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const within = (value: unknown, low: number, high: number): value is number =>
  typeof value === 'number' && value >= low && value <= high;

function potOf(text: string): PotUnderProbe | null {
  let read: unknown;
  try {
    read = JSON.parse(text);
  } catch {
    return null;
  }
  if (!isObject(read) || !isObject(read['product'])) return null;
  const { waxG, tempC, setC, roomC } = read;
  const isRight =
    within(waxG, 20, 5000) &&
    within(tempC, -20, 250) &&
    within(roomC, 0, 50) &&
    (setC === null || within(setC, 0, 150));
  // the product comes from the studio's own table, which checked it
  return isRight ? (read as unknown as PotUnderProbe) : null;
}

/** A line for the sensor; null where it is none. */
export function toldLine(line: string): ToldLine | null {
  if (line.length > MOST_LETTERS) return null;
  const [word, first, ...rest] = line.split(' ');
  if (word === 'PACE') {
    const times = numberOf(first);
    return times !== null && times >= 1 && times <= 1000 && rest.length === 0 ? { kind: 'pace', times } : null;
  }
  const channel = channelOf(first);
  if (channel === null) return null;
  if (word === 'POT') {
    const pot = potOf(rest.join(' '));
    return pot && { kind: 'pot', channel, pot };
  }
  const [said] = rest;
  if (rest.length !== 1 || said === undefined) return null;
  if (word === 'SET') {
    const setC = said === 'OFF' ? null : numberOf(said);
    return setC === null || within(setC, 0, 150) ? { kind: 'set', channel, setC } : null;
  }
  const fault = FAULTS.find((f) => f === said);
  return word === 'FAULT' && fault ? { kind: 'fault', channel, fault } : null;
}

export function toldText(line: ToldLine): string {
  switch (line.kind) {
    case 'pot':
      return `POT ${line.channel} ${JSON.stringify(line.pot)}`;
    case 'set':
      return `SET ${line.channel} ${line.setC === null ? 'OFF' : line.setC.toFixed(1)}`;
    case 'fault':
      return `FAULT ${line.channel} ${line.fault}`;
    case 'pace':
      return `PACE ${line.times}`;
  }
}

/** Cuts what comes over a socket into lines; the rest waits for its end. */
export function lineCutter(onLine: (line: string) => void, onTooLong: () => void): (chunk: string) => void {
  let rest = '';
  return (chunk) => {
    rest += chunk;
    for (let end = rest.indexOf('\n'); end >= 0; end = rest.indexOf('\n')) {
      const line = rest.slice(0, end).replace(/\r$/, '');
      rest = rest.slice(end + 1);
      if (line !== '') onLine(line);
    }
    if (rest.length > MOST_LETTERS) {
      rest = '';
      onTooLong();
    }
  };
}
