// The pots over the day, worked out beside the page.

import { potDay, type PotDay, type PotDayInput } from '../core/pots';

self.onmessage = ({ data }: MessageEvent<readonly PotDayInput[]>): void => {
  self.postMessage(data.map(potDay) satisfies readonly PotDay[]);
};
