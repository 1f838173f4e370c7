import { nowMs } from '@/server/clock';
import { cursorOf, lastSeq, listen, toldAfter, type Told } from '@/server/events';
import { route } from '@/server/http/route';

export const dynamic = 'force-dynamic';

/** A dead line is noticed by its silence. */
const BEAT_MS = 15_000;

const line = ({ seq, event }: Told): string => `id: ${cursorOf(seq)}\ndata: ${JSON.stringify(event)}\n\n`;

/** What begins a stream: the server's clock, then what was missed, or that everything is to be looked at anew. */
function opening(cursor: string | null): string {
  const missed = toldAfter(cursor);
  const now = `id: ${cursorOf(lastSeq())}\n`;
  // one that knows where it stands keeps its own place until it has heard the rest
  const clock = JSON.stringify({ nowMs: nowMs() });
  const hello = `retry: 1000\n${cursor === null ? now : ''}event: hello\ndata: ${clock}\n\n`;
  return hello + (missed === null ? `${now}event: anew\ndata: {}\n\n` : missed.map(line).join(''));
}

/** Where a page stands: as the browser says after a break, or as the page says that opens a line. */
const cursorFrom = (request: Request): string | null =>
  request.headers.get('last-event-id') ?? new URL(request.url).searchParams.get('after');

/** Server-sent events: what changed since `Last-Event-ID` or `?after=`, then whatever changes. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: (request) => {
    const encoder = new TextEncoder();
    let end = (): void => undefined;
    const stream = new ReadableStream<Uint8Array>({
      start: (to) => {
        const send = (text: string): void => to.enqueue(encoder.encode(text));
        send(opening(cursorFrom(request)));
        const deaf = listen(
          (told) => send(line(told)),
          () => {
            end();
            to.close();
          },
        );
        const beat = setInterval(() => send(': still here\n\n'), BEAT_MS);
        end = () => {
          deaf();
          clearInterval(beat);
        };
        request.signal.addEventListener('abort', () => end());
      },
      cancel: () => end(),
    });
    const headers = { 'content-type': 'text/event-stream', 'cache-control': 'no-store, no-transform' };
    return new Response(stream, { headers });
  },
});
