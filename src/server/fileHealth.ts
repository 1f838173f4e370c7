// What the look at every page of the data file has found (`scripts/checkFile.ts`, beside the running server).

import 'server-only';

const holder = globalThis as typeof globalThis & { strickleFileFault?: boolean };

export const noteFileFault = (): void => {
  holder.strickleFileFault = true;
};
/** True where some page of the file or some reference in it is broken. */
export const hasFileFault = (): boolean => holder.strickleFileFault ?? false;
