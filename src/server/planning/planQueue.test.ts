import { describe, expect, it, vi } from 'vitest';
import { planQueue, type Priority } from './planQueue';

/** A job that runs until it is told to end. */
function held(log: string[]) {
  const ends = new Map<string, () => void>();
  return {
    job: (key: string, priority: Priority = 'visit', owner: string | null = null) => ({
      key,
      owner,
      priority,
      run: (): Promise<void> => {
        log.push(key);
        return new Promise((resolve) => ends.set(key, resolve));
      },
    }),
    end: async (key: string): Promise<void> => {
      ends.get(key)?.();
      await new Promise((resolve) => setTimeout(resolve, 0));
    },
  };
}

describe('planQueue', () => {
  it('runs as many at once as there are threads, the most pressing first', async () => {
    const log: string[] = [];
    const { job, end } = held(log);
    const queue = planQueue(1);
    void queue.want(job('a'));
    void queue.want(job('b', 'ahead'));
    void queue.want(job('c', 'table'));
    void queue.want(job('d', 'visit'));
    expect(log).toEqual(['a']);
    for (const key of ['a', 'c', 'd']) await end(key);
    expect(log).toEqual(['a', 'c', 'd', 'b']);
  });
  it('keeps a thread free of what is only made ahead', async () => {
    const log: string[] = [];
    const { job, end } = held(log);
    const queue = planQueue(2);
    void queue.want(job('day 1', 'day'));
    void queue.want(job('day 2', 'day'));
    void queue.want(job('table', 'table'));
    expect(log).toEqual(['day 1', 'table']);
    await end('table');
    expect(log).toEqual(['day 1', 'table']);
    await end('day 1');
    expect(log).toEqual(['day 1', 'table', 'day 2']);
  });
  it('lets the first page of a start be made before the day is planned; an open table waits for nothing', async () => {
    vi.useFakeTimers();
    try {
      const log: string[] = [];
      const { job } = held(log);
      const queue = planQueue(2, 1.2);
      void queue.want(job('day', 'day'));
      void queue.want(job('table', 'table'));
      expect(log).toEqual(['table']);
      await vi.advanceTimersByTimeAsync(1_199);
      expect(log).toEqual(['table']);
      await vi.advanceTimersByTimeAsync(1);
      expect(log).toEqual(['table', 'day']);
    } finally {
      vi.useRealTimers();
    }
  });
  it('rests once, not at every first look at a day', async () => {
    vi.useFakeTimers();
    try {
      const log: string[] = [];
      const { job } = held(log);
      const queue = planQueue(2, 1.2);
      void queue.want(job('first', 'table'));
      await vi.advanceTimersByTimeAsync(1_200);
      void queue.want(job('day', 'day'));
      expect(log).toEqual(['first', 'day']);
    } finally {
      vi.useRealTimers();
    }
  });
  it('makes once what is asked for twice, and moves it up', async () => {
    const log: string[] = [];
    const { job, end } = held(log);
    const queue = planQueue(1);
    void queue.want(job('a'));
    void queue.want(job('b', 'visit'));
    const [first, second] = [queue.want(job('c', 'ahead')), queue.want(job('c', 'table'))];
    expect(queue.size()).toBe(3);
    await end('a');
    expect(log).toEqual(['a', 'c']);
    await end('c');
    await Promise.all([first, second]);
    expect(log).toEqual(['a', 'c', 'b']);
  });
  it('lets a newer plan of the same visit take the place of one that waits, and lets go who waited for it', async () => {
    const log: string[] = [];
    const { job, end } = held(log);
    const queue = planQueue(1);
    void queue.want(job('running', 'visit', 'v'));
    const older = queue.want(job('older', 'visit', 'v'));
    void queue.want(job('newer', 'visit', 'v'));
    await older;
    await end('running');
    expect(log).toEqual(['running', 'newer']);
  });
  it('goes on after a job that fails', async () => {
    const queue = planQueue(1);
    const log: string[] = [];
    await queue.want({ key: 'bad', owner: null, priority: 'visit', run: () => Promise.reject(new Error('no')) });
    await queue.want({
      key: 'good',
      owner: null,
      priority: 'visit',
      run: () => {
        log.push('good');
        return Promise.resolve();
      },
    });
    expect(log).toEqual(['good']);
    expect(queue.size()).toBe(0);
  });
});
