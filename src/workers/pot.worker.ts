// The pot from cold, worked out beside the page: some tenths of a second that no frame has to wait for.

import {
  holdingSetC,
  pulsesFromCold,
  readyAfterS,
  refilled,
  switchDown,
  type HeatingInput,
  type Refilled,
  type SwitchDown,
} from '../core/pots';

export interface PotAnswer {
  /** Where it holds the target from the start, s; null = not within three hours. */
  readonly steadyS: number | null;
  /** Left alone. */
  readonly switchDown: SwitchDown | null;
  /** The same, stirred on the way as far as it moves, s. */
  readonly stirredS: number | null;
  /** Microwave pulses where paste is warmed so; null for what stands in a pot. */
  readonly pulsesS: readonly number[] | null;
  /** Where the thermostat holds the target, °C. */
  readonly holdC: number;
  /** Filled up with cold wax in the middle of the work; null for paste. */
  readonly toppedUp: Refilled | null;
}

self.onmessage = ({ data }: MessageEvent<HeatingInput>): void => {
  const paste = data.product.family === 'sugar';
  const answer: PotAnswer = {
    steadyS: paste ? null : readyAfterS(data),
    switchDown: paste ? null : switchDown(data),
    stirredS: paste ? null : (switchDown({ ...data, stirred: true })?.readyS ?? null),
    pulsesS: paste ? pulsesFromCold(data.product, data.pot.waxG, data.roomC, data.window) : null,
    holdC: holdingSetC(data),
    toppedUp: paste ? null : refilled(data),
  };
  self.postMessage(answer);
};
