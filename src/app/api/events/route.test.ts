import { describe, expect, it } from 'vitest';
import { cursorOf, lastSeq, tell } from '@/server/events';
import { GET } from './route';

/** What a line says at once, before anything new happens. */
async function opening(path: string, headers: Record<string, string> = {}): Promise<string> {
  const ended = new AbortController();
  const request = new Request(`http://127.0.0.1${path}`, { headers, signal: ended.signal });
  const answer = await GET(request, { params: Promise.resolve({}) });
  const reader = answer.body?.getReader();
  const { value } = (await reader?.read()) ?? {};
  await reader?.cancel();
  ended.abort();
  return new TextDecoder().decode(value);
}

describe('the line of events', () => {
  it('tells a page what came after it was made, and nothing again that it knows', async () => {
    const made = cursorOf(lastSeq());
    tell({ kind: 'day' });
    const first = await opening(`/api/events?after=${encodeURIComponent(made)}`);
    expect(first).toContain('event: hello');
    expect(first).toContain('data: {"kind":"day"}');
    expect(first).not.toContain('event: anew');
    expect(await opening(`/api/events?after=${encodeURIComponent(cursorOf(lastSeq()))}`)).not.toContain('"kind"');
  });

  it('goes by what the browser says after a break, and says anew where the place is of another run', async () => {
    const known = { 'last-event-id': cursorOf(lastSeq()) };
    expect(await opening('/api/events?after=gone.3', known)).not.toContain('event: anew');
    const anew = await opening('/api/events?after=gone.3');
    expect(anew).toContain('event: anew');
    expect(anew).toContain(`id: ${cursorOf(lastSeq())}`);
  });
});
