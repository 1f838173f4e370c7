// A long answer made piece by piece: between two pieces other requests are answered.

import 'server-only';

export function inPieces(pieces: Generator<string>): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder();
  return new ReadableStream<Uint8Array>({
    pull: async (to) => {
      await new Promise((resolve) => setImmediate(resolve));
      const { done, value } = pieces.next();
      if (done) to.close();
      else to.enqueue(encoder.encode(value));
    },
    cancel: () => {
      pieces.return(undefined);
    },
  });
}
