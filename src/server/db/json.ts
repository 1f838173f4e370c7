// JSON columns. A value that cannot be read must not take down the list in which its row stands: it is given as a value
// that complains when it is looked at, so that the code of one row can be caught (`readable`) and the others go on.

import { deflateRawSync, inflateRawSync } from 'node:zlib';
import { customType } from 'drizzle-orm/sqlite-core';

/** A stored value that cannot be read. */
export class DamagedValue extends Error {
  override readonly name = 'DamagedValue';
}

const complain = (): never => {
  throw new DamagedValue('a stored value cannot be read');
};
// every look at it, also JSON.stringify's, complains
const DAMAGED: unknown = new Proxy(Object.freeze({}), { get: complain, has: complain, ownKeys: complain });

function parsed<T>(text: () => string): T {
  try {
    // written by the same column; documents carry their version and are brought up by upSteps.ts
    return JSON.parse(text()) as T;
  } catch {
    return DAMAGED as T;
  }
}

/** A document as JSON text. */
export const json = <T>() =>
  customType<{ data: T; driverData: string }>({
    dataType: () => 'text',
    toDriver: (value) => JSON.stringify(value),
    fromDriver: (stored) => parsed<T>(() => stored),
  });

/** The same, deflated; text of before it was is read too. */
export const packedJson = <T>() =>
  customType<{ data: T; driverData: Buffer | string }>({
    dataType: () => 'text',
    toDriver: (value) => deflateRawSync(JSON.stringify(value)),
    fromDriver: (stored) =>
      parsed<T>(() => (typeof stored === 'string' ? stored : inflateRawSync(stored).toString('utf8'))),
  });

/** The value, or what stands for it where the row is damaged. Anything else that goes wrong is a fault of ours. */
export function readable<T>(run: () => T, otherwise: T): T {
  try {
    return run();
  } catch (error) {
    if (error instanceof DamagedValue) return otherwise;
    throw error;
  }
}
