'use client';

import { Link } from '@/ui/Link';
import { useState } from 'react';
import { zoneKey } from '@/core/anatomy';
import { MOST_PASSES } from '@/core/hands';
import type { PlanStrip, PlanZone } from '@/core/plan';
import { FEW, nextAction, patchGround, type LeftPatch, type NextAction } from '@/core/reading';
import { isInside } from '@/core/shared';
import type { BenchZone } from '@/server/services/bench';
import { tabletNow } from '@/ui/tabletClock';
import { plural, sideWord } from '@/ui/words';
import { useWorkerAnswer } from '@/ui/useWorkerAnswer';
import type { RoundAnswer, RoundQuestion } from '@/workers/round.worker';
import { useBench } from '../BenchContext.client';
import { useZone } from '../BenchFrame.client';
import { StationFoot, StationSide } from '../StationFoot.client';
import { useGo } from '../useGo';
import { ForTheChart } from './ForTheChart.client';
import { placeWords } from './placeWords';
import type { ZoneReading } from './useZoneReading';
import styles from './Read.module.css';

interface Props {
  readonly zone: BenchZone;
  readonly planned: PlanZone;
  readonly read: ZoneReading;
}

const makeWorker = (): Worker =>
  new Worker(new URL('../../../workers/round.worker.ts', import.meta.url), { type: 'module' });

/** What to do now with what is left, what the chart can learn, and on to the next zone. */
export function NextPanel({ zone, planned, read }: Props) {
  const { bench, sendEvents } = useBench();
  const { index, choose } = useZone();
  const go = useGo();
  const closed = bench.visit.status === 'closed';
  const [reason, setReason] = useState('');
  const found = useAction(planned, read);
  // of a visit that is over nothing is to be done any more
  const action = closed ? null : found;
  const answer = useWorkerAnswer<RoundQuestion, RoundAnswer>(
    makeWorker,
    useRoundQuestion(zone, planned, read, action?.code === 'second-pass' && !closed && read.off.length > 0),
  );
  const round = answer === null || answer === 'failed' ? null : answer.round;
  const pass = Math.max(2, ...(round?.strips.map((s) => s.pass) ?? []));
  const isHard = planned.choice?.family === 'hard';
  const house = isHard ? (bench.studio.settings.schools.maxHardPasses ?? MOST_PASSES) : MOST_PASSES;
  // beyond the house's own limit, and always a third time of hard wax: its reason, and a second press
  const needsReason = isHard && (pass >= MOST_PASSES || pass > house);
  const [isArmed, setArmed] = useState(false);
  const lay = (): void => {
    if (!round) return;
    if (needsReason && !isArmed) return setArmed(true);
    // what is gone over now is looked at again afterwards
    const kept = read.hairs.filter((h) => !round.strips.some((s) => isInside([s.outline], h.at)));
    read.unsay(kept);
    sendEvents([
      { id: crypto.randomUUID(), atMs: tabletNow(), kind: 'round', round: { ...round, reason: reason.trim() } },
    ]);
    go(`/visits/${bench.visit.id}/work`);
  };
  const next = bench.zones.findIndex(
    (z, i) => i !== index && !bench.readings.some((r) => zoneKey(r) === zoneKey(z)) && hasStrips(bench.plan.zones, z),
  );
  const nextZone = bench.zones[next];
  return (
    <>
      <StationSide>
        <section className={styles.next} data-code={action?.code} role="status">
          <h2>Next</h2>
          {action ? (
            <p>
              {nextWords(action, read, {
                pass,
                house,
                mayTweeze: bench.visit.consult.agreed.tweezing,
                isNone: answer !== null && answer !== 'failed' && !answer.round,
              })}
            </p>
          ) : (
            <p className="quiet">
              {closed ? 'This visit is closed: its record stands.' : 'Tap what is left, or say that nothing is.'}
            </p>
          )}
          {action?.code === 'stop' ? (
            <Link href={`/visits/${bench.visit.id}/incident`}>Write the incident record</Link>
          ) : null}
        </section>
        <ForTheChart zone={zone} read={read} disabled={closed} />
      </StationSide>
      <StationFoot open="">
        {round && needsReason ? (
          <input
            className={styles.reason}
            value={reason}
            maxLength={500}
            placeholder={`Why pass ${pass}?`}
            aria-label={`Why pass ${pass}`}
            onChange={(e) => {
              setArmed(false);
              setReason(e.target.value);
            }}
          />
        ) : null}
        {(round || read.hairs.length > 0) && !closed && action?.code !== 'stop' ? (
          <div className={styles.lays}>
            {round ? (
              <button type="button" onClick={lay} disabled={needsReason && reason.trim() === ''}>
                {isArmed ? `Press once more: pass ${pass}` : layWords(round.strips.length)}
              </button>
            ) : null}
            <button
              type="button"
              aria-pressed={read.reading.leave === true}
              onClick={() => read.save({ leave: read.reading.leave ? undefined : true })}
            >
              Leave for next time
            </button>
          </div>
        ) : null}
        {nextZone ? (
          <button type="button" className={styles.go} onClick={() => choose(next)}>
            Next: {sideWord(nextZone.name, nextZone.side).toLowerCase()}
          </button>
        ) : (
          <Link className={styles.go} href={`/visits/${bench.visit.id}/return`}>
            On to the return
          </Link>
        )}
      </StationFoot>
    </>
  );
}

const hasStrips = (zones: readonly PlanZone[], z: BenchZone): boolean =>
  zones.some((p) => zoneKey(p) === zoneKey(z) && p.strips.length > 0);

function useAction({ choice, hands }: PlanZone, read: ZoneReading): NextAction | null {
  const { bench } = useBench();
  const { reading, off, said, zone, marks, isStored } = read;
  // worked without the table it can be read all the same
  if (!choice || (off.length === 0 && !isStored)) return null;
  return nextAction({
    family: choice.family,
    passesDone: Math.max(1, ...zone.strips.map((s) => s.pass)),
    passLimit: hands.onePass ? 1 : MOST_PASSES,
    left: said('left') ? reading.left : leftByMarks(marks, zone),
    skin: said('skin') ? reading.skin : null,
    bleeding: said('bleeding') ? reading.bleeding : null,
    tweezingAllowed: bench.visit.consult.agreed.tweezing,
  });
}

/** Strips marked `some left` that were not gone over again. */
function markedLeft(marks: ZoneReading['marks'], { strips }: PlanZone): readonly PlanStrip[] {
  const over = new Set(strips.flatMap((s) => s.over ?? []));
  return strips.filter((s) => marks.get(s.id) === 'some-left' && !over.has(s.id));
}

/** Until what is left was tapped, the table's word for it stands. */
const leftByMarks = (marks: ZoneReading['marks'], zone: PlanZone): 'patch' | null =>
  markedLeft(marks, zone).length > 0 ? 'patch' : null;

const isBig = (p: LeftPatch): boolean => p.hairs.length > FEW;

/** What to ask the worker; null where no round is to be laid out. */
function useRoundQuestion(
  zone: BenchZone,
  planned: PlanZone,
  read: ZoneReading,
  isWanted: boolean,
): RoundQuestion | null {
  const { bench } = useBench();
  const product = bench.products.find((p) => p.id === planned.choice?.product);
  if (!isWanted || !product) return null;
  const { roomC, walkS, schools } = bench.studio.settings;
  const { data } = zone;
  return {
    input: {
      zone: read.zone,
      strokes: [...data.strokes, ...read.comb],
      exclusions: read.zone.excluded,
      densities: data.densities ?? [],
      density: data.hair.density,
      coarseness: data.hair.coarseness,
      product,
      level: bench.visit.level,
      roomC,
      walkS,
      maxOnSkin: bench.plan.schedule.maxOnSkin,
      patches: read.patches.filter(isBig).map((p) => patchGround(p, read.hairs, read.reachCm)),
      leftKind: read.reading.leftKind,
      crossedAllowed: schools.shortHair !== 'none',
    },
    marks: [...read.marks],
  };
}

interface Asked {
  readonly pass: number;
  /** Most passes by the house. */
  readonly house: number;
  readonly mayTweeze: boolean;
  /** No strip can be laid where hair is left: sore, broken or waxed often enough. */
  readonly isNone: boolean;
}

const layWords = (strips: number): string => `Lay ${strips === 1 ? 'the clean-up strip' : `${strips} clean-up strips`}`;

/** `Tweeze 4 near the waist. Clean up near the elbow: pass 2 of 2 at most …` */
function nextWords(action: NextAction, { patches, zone, marks }: ZoneReading, asked: Asked) {
  const { pass, house, mayTweeze } = asked;
  const places = (own: readonly LeftPatch[]): string =>
    [...new Set(own.map((p) => placeWords(zone, p.middle)))].slice(0, 2).join(' and ');
  const count = (own: readonly LeftPatch[]): number => own.reduce((n, p) => n + p.hairs.length, 0);
  const few = patches.filter((p) => !isBig(p));
  const big = patches.filter(isBig);
  const numbers = markedLeft(marks, zone)
    .map((s) => s.number)
    .join(', ');
  if (action.code === 'second-pass' && asked.isNone) {
    return (
      <>
        <strong>No further wax there.</strong>{' '}
        {mayTweeze ? 'Tweeze without haste, or leave it for next time.' : 'Leave it for the next visit.'}
      </>
    );
  }
  if (action.code === 'second-pass') {
    return (
      <>
        {few.length > 0 ? (
          <>
            <strong>
              {mayTweeze ? 'Tweeze' : 'Leave'} {count(few)}
            </strong>{' '}
            {places(few)}.{' '}
          </>
        ) : null}
        <strong>Clean up</strong> {big.length > 0 ? places(big) : `strip ${numbers}`}: {passWords(pass, house)}, test on
        your wrist, less wax, pressed firmly.
      </>
    );
  }
  if (action.code === 'tweeze' && patches.length > 0) {
    return (
      <>
        <strong>Tweeze {plural(count(patches), 'hair')}</strong> {places(patches)}: stretch, grip firmly, draw steadily.
      </>
    );
  }
  return (
    <>
      <strong>{ACTION_WORDS[action.code]}</strong> {action.text}
    </>
  );
}

const passWords = (pass: number, house: number): string =>
  pass > house ? `pass ${pass}, over the house’s ${house}` : `pass ${pass} of ${house} at most`;

const ACTION_WORDS = {
  ask: 'Read first.',
  stop: 'Stop here.',
  finish: 'Finish.',
  tweeze: 'Tweeze.',
  'second-pass': 'Clean up.',
  'next-visit': 'Next visit.',
} as const;
