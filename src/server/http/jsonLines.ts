// An answer that comes step by step: a line of JSON each.

import 'server-only';
import { NO_STORE } from './answers';

export function jsonLines(steps: AsyncGenerator<object>): Response {
  const encoder = new TextEncoder();
  const body = new ReadableStream<Uint8Array>({
    async pull(controller) {
      const { done, value } = await steps.next();
      if (done) controller.close();
      else controller.enqueue(encoder.encode(`${JSON.stringify(value)}\n`));
    },
    async cancel() {
      await steps.return(undefined);
    },
  });
  return new Response(body, { headers: { ...NO_STORE, 'content-type': 'application/x-ndjson' } });
}
