// Reference for tests and bench: the schedule of the hands as a mixed-integer linear programme in CPLEX LP text, for
// HiGHS. Start times L (lay), C (second coat) and P (pull), order binaries for every pair of acts; from them how many
// strips are on the skin when one is laid. Precedence is closed transitively and fixed into the order binaries (plain
// big-M alone once gave a wrong optimum). The horizon is the end of a schedule that is known to hold, so that only
// earlier ones are left to look for.

import { COAT_REST_S, mostRestS, type HandsInput, type StripJob } from './types';

interface Act {
  readonly name: string;
  readonly job: number;
  readonly kind: 'L' | 'C' | 'P';
  readonly lasts: number;
  readonly side: StripJob['side'];
  /** Start times that the horizon leaves it. */
  readonly earliest: number;
  readonly latest: number;
}

/** Pairs [before, after] of jobs, closed transitively. */
function closedNeeds(jobs: readonly StripJob[]): ReadonlySet<string> {
  const reach = (i: number, seen = new Set<number>()): Set<number> => {
    for (const n of jobs[i]?.needs ?? []) if (!seen.has(n)) reach(n, seen.add(n));
    return seen;
  };
  return new Set(jobs.flatMap((_, j) => [...reach(j)].map((i) => `${i}>${j}`)));
}

/** From the start of the lay to the end of the last coat, at least. */
const laysS = (j: StripJob): number => (j.coats === 2 ? 2 * j.layS + COAT_REST_S : j.layS);
const lasts = (j: StripJob): number => laysS(j) + j.setMinS + j.pullS + j.pressS;
const ACT_PLACE = { L: 0, C: 1, P: 2 } as const;

/**
 * Seconds of the longest chain of jobs that must be over before each job's lay, and of the longest one that must follow
 * its pull.
 */
function chains(jobs: readonly StripJob[]): { readonly before: readonly number[]; readonly after: readonly number[] } {
  const longest = (next: (i: number) => readonly number[]): readonly number[] => {
    const known = new Map<number, number>();
    const of = (i: number): number => {
      const made =
        known.get(i) ??
        Math.max(
          0,
          ...next(i).map((n) => {
            const j = jobs[n];
            return j ? of(n) + lasts(j) : 0;
          }),
        );
      known.set(i, made);
      return made;
    };
    return jobs.map((_, i) => of(i));
  };
  return {
    before: longest((i) => jobs[i]?.needs ?? []),
    after: longest((i) => jobs.flatMap((j, n) => (j.needs.includes(i) ? [n] : []))),
  };
}

/**
 * LP text whose optimum is the least makespan, at most `horizonS`; a whole number, as all seconds given are. Set
 * windows are those of the jobs, whatever a first coat has rested.
 */
export function handsMilp({ jobs, maxOnSkin, walkS }: HandsInput, horizonS: number): string {
  const chain = chains(jobs);
  const rows: string[] = [];
  const binaries: string[] = [];
  const acts: readonly Act[] = jobs.flatMap((j, i): Act[] => [
    {
      name: `L${i}`,
      job: i,
      kind: 'L',
      lasts: j.layS,
      side: j.side,
      earliest: chain.before[i] ?? 0,
      latest: horizonS - (chain.after[i] ?? 0) - lasts(j),
    },
    ...(j.coats === 2
      ? [
          {
            name: `C${i}`,
            job: i,
            kind: 'C' as const,
            lasts: j.layS,
            side: j.side,
            earliest: (chain.before[i] ?? 0) + j.layS + COAT_REST_S,
            latest: horizonS - (chain.after[i] ?? 0) - j.layS - j.setMinS - j.pullS - j.pressS,
          },
        ]
      : []),
    {
      name: `P${i}`,
      job: i,
      kind: 'P',
      lasts: j.pullS + j.pressS,
      side: j.side,
      earliest: (chain.before[i] ?? 0) + laysS(j) + j.setMinS,
      latest: horizonS - (chain.after[i] ?? 0) - j.pullS - j.pressS,
    },
  ]);
  const before = closedNeeds(jobs);
  const surely = (a: Act, b: Act): boolean =>
    a.job === b.job ? ACT_PLACE[a.kind] < ACT_PLACE[b.kind] : before.has(`${a.job}>${b.job}`);
  /**
   * Never on the skin together: one is off before the other is laid, and all four orders of their acts are one choice.
   */
  const apart = (i: number, j: number): boolean =>
    i !== j && (maxOnSkin === 1 || (jobs[i]?.touches.includes(j) ?? false));
  const gap = (a: Act, b: Act): number => a.lasts + (a.side && b.side && a.side !== b.side ? walkS : 0);
  /**
   * Rows: of two pairs of acts the first keeps its order where the binary is 1, else the second. The big-M is what
   * their windows leave.
   */
  const either = (y: string, [a, b]: readonly [Act, Act], [c, d]: readonly [Act, Act]): readonly string[] => {
    const big = (first: Act, then: Act): number => Math.max(0, first.latest + gap(first, then) - then.earliest);
    return [
      `${b.name} - ${a.name} - ${big(a, b)} ${y} >= ${gap(a, b) - big(a, b)}`,
      `${d.name} - ${c.name} + ${big(c, d)} ${y} >= ${gap(c, d)}`,
    ];
  };
  jobs.forEach((j, i) => {
    const last = j.coats === 2 ? `C${i}` : `L${i}`;
    if (j.coats === 2) {
      rows.push(`C${i} - L${i} >= ${j.layS + COAT_REST_S}`, `C${i} - L${i} <= ${j.layS + mostRestS(j)}`);
    }
    rows.push(
      `P${i} - ${last} >= ${j.layS + j.setMinS}`,
      `P${i} - ${last} <= ${j.layS + j.setMaxS}`,
      `C - P${i} >= ${j.pullS + j.pressS}`,
    );
  });
  acts.forEach((a, x) =>
    acts.slice(x + 1).forEach((b) => {
      if (surely(a, b)) rows.push(`${b.name} - ${a.name} >= ${gap(a, b)}`);
      else if (surely(b, a)) rows.push(`${a.name} - ${b.name} >= ${gap(b, a)}`);
      else if (!apart(a.job, b.job)) {
        const y = `y_${a.name}_${b.name}`;
        binaries.push(y);
        rows.push(...either(y, [a, b], [b, a]));
      }
    }),
  );
  // the hands do one thing at a time, and each place on the skin holds one strip at a time
  rows.push(`C >= ${jobs.reduce((s, j) => s + j.coats * j.layS + j.pullS + j.pressS, 0)}`);
  rows.push(
    `${maxOnSkin} C >= ${jobs.reduce((s, j) => s + laysS(j) + j.setMinS + j.pullS, 0) + maxOnSkin * Math.min(...jobs.map((j) => j.pressS))}`,
  );
  /** 1 where act x comes before act y, else 0: a known number plus a signed binary, or the number alone. */
  const first = (x: string, y: string): { readonly term: string; readonly known: number } => {
    const [a, b] = [acts.findIndex((act) => act.name === x), acts.findIndex((act) => act.name === y)];
    const [actA, actB] = [acts[a], acts[b]];
    if (!actA || !actB) return { term: '', known: 0 };
    if (surely(actA, actB)) return { term: '', known: 1 };
    if (surely(actB, actA)) return { term: '', known: 0 };
    return a < b ? { term: `+ y_${x}_${y}`, known: 0 } : { term: `- y_${y}_${x}`, known: 1 };
  };
  const minus = (term: string): string => {
    if (term === '') return '';
    return `${term.startsWith('+') ? '-' : '+'}${term.slice(1)}`;
  };
  /** Row: the first order holds wherever the second does. */
  const follows = (one: ReturnType<typeof first>, other: ReturnType<typeof first>): void => {
    if (one.term !== '' || other.term !== '') {
      rows.push(`${one.term} ${minus(other.term)} >= ${other.known - one.known}`);
    }
  };
  jobs.forEach((_, j) => {
    const on: string[] = [];
    let known = 0;
    jobs.forEach((_job, i) => {
      if (i === j || apart(i, j)) return;
      const [laid, off] = [first(`L${i}`, `L${j}`), first(`P${i}`, `L${j}`)];
      on.push(laid.term, minus(off.term));
      known += laid.known - off.known;
      // what is laid is laid before it is pulled, whatever it is compared with
      follows(laid, off);
      follows(first(`L${i}`, `P${j}`), laid);
      follows(first(`P${i}`, `P${j}`), off);
      follows(first(`L${i}`, `P${j}`), first(`P${i}`, `P${j}`));
    });
    // when a strip is laid at most K − 1 others are on the skin
    const terms = on.filter((t) => t !== '');
    if (terms.length > 0) rows.push(`${terms.join(' ')} <= ${maxOnSkin - 1 - known}`);
    jobs.slice(j + 1).forEach((_, d) => {
      const k = j + 1 + d;
      if (!apart(j, k) || before.has(`${j}>${k}`) || before.has(`${k}>${j}`)) return;
      const z = `z_${j}_${k}`;
      binaries.push(z);
      // every job has both
      const act = (kind: string, of: number): Act => acts.find((x) => x.name === `${kind}${of}`) as Act;
      rows.push(...either(z, [act('P', j), act('L', k)], [act('P', k), act('L', j)]));
    });
  });
  return `Minimize\n obj: C\nSubject To\n${rows.map((r, i) => ` c${i}: ${r}`).join('\n')}\nBounds\n C <= ${horizonS}\n${acts.map((x) => ` ${x.earliest} <= ${x.name} <= ${x.latest}`).join('\n')}\nGeneral\n C\nBinary\n ${binaries.join('\n ')}\nEnd\n`;
}
