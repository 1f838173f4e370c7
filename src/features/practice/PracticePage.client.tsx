'use client';

import { useMemo, useState } from 'react';
import { ZONES } from '@/core/anatomy';
import { handStrip, LEVEL_FACTS, type HandStrip } from '@/core/practice';
import type { Product } from '@/core/products';
import { angleBetweenDeg, dot, rotate, scale, type Vec } from '@/core/shared';
import { Fault } from '@/ui/Fault';
import { FootSteps } from '@/ui/FootSteps';
import { Rooms } from '@/ui/Rooms';
import { useKeys } from '@/ui/useKeys';
import { useMounted } from '@/ui/useMounted';
import { tabletNow } from '@/ui/tabletClock';
import { ChoosePanel, WristPanel } from './BeforePanels';
import { Flank } from './Flank';
import { AskedHair, Decide, LookPanel } from './LookPanel';
import { mayGo, STATIONS, waitedS } from './practiceState';
import { resultHeading, STATION_NAMES, stationResult } from './practiceWords';
import { SideView, type SidePull } from './SideView.client';
import { SkinSheet, type Drawn, type Stroke } from './SkinSheet.client';
import { isUnderCloth, LayPanel, PullPanel, WaitPanel } from './StripPanels';
import { StripDrawing } from './StripDrawing';
import { usePractice } from './usePractice';
import styles from './Practice.module.css';

/** The brush opens the hair this far round it, cm. */
const BRUSH_CM = 1.1;
const HEADINGS = {
  feel: 'Brush over it: where does the hair lie down?',
  choose: 'Choose what you lay, and set its pot',
  wrist: 'Try it on your own wrist',
  lay: 'Lay one strip',
  wait: 'Let it set',
  pull: 'Hold the skin, take the tab, pull',
} as const;

interface Props {
  readonly products: readonly Product[];
  readonly seed: number;
  readonly nowMs: number;
  /** Who stands at the tablet; null = nobody has said. */
  readonly person: string | null;
}

/** Practise on skin that answers: one strip after another on an arm, a leg, a brow, a back that is nobody's. */
export function PracticePage(props: Props) {
  return useMounted() ? <PracticeRoom {...props} /> : <p className={styles.loading}>The skin is being drawn …</p>;
}

function PracticeRoom({ products, seed, nowMs: firstMs, person }: Props) {
  const practising = usePractice(products, seed, person !== null);
  const { practice, product, answer, failed, asks, ask, step, touchC, notKept } = practising;
  const { zone, side, hair } = LEVEL_FACTS[practice.level];
  const [draft, setDraft] = useState<Stroke | null>(null);
  const [revealed, setRevealed] = useState<ReadonlySet<number>>(new Set());
  const [layDeg, setLayDeg] = useState(0);
  const [aim, setAim] = useState<{ readonly strip: object; readonly way: Vec } | null>(null);
  const width = product ? ZONES[zone].stripCm[product.family][0] : 3;
  const laid = practice.strip;
  const strip = useMemo(() => (laid ? handStrip(laid.from, laid.to, width) : null), [laid, width]);
  const own = aim && aim.strip === practice.strip?.from ? aim.way : null;
  const { station } = practice;
  useKeys(Object.fromEntries(STATIONS.map((s, k) => [`${k + 1}`, () => step({ do: 'go', to: s, atMs: tabletNow() })])));

  const brush = (stroke: Stroke, ends: boolean): void => {
    if (!answer) return;
    const near = answer.hairs.filter((h) =>
      stroke.places.some((p) => Math.hypot(p[0] - h.at[0], p[1] - h.at[1]) < BRUSH_CM),
    );
    setRevealed((r) => new Set([...r, ...near.map((h) => h.id)]));
    const towards: Vec = [stroke.to[0] - stroke.from[0], stroke.to[1] - stroke.from[1]];
    if (!ends || near.length === 0 || Math.hypot(...towards) < 0.5) return;
    const mean = near.reduce((s, h) => s + dot(h.way, towards), 0) / near.length;
    step({ do: 'brush', towards, lay: mean > 0 });
  };
  const lay = (from: Vec, to: Vec): void => {
    if (handStrip(from, to, width)) step({ do: 'lay', from, to, atMs: tabletNow() });
  };
  const layByKeys = (): void => {
    if (!answer) return;
    const standing = answer.hairs.filter((h) => answer.state[h.id] === 'standing');
    const middle = (k: 0 | 1): number => standing.reduce((s, h) => s + h.at[k], 0) / Math.max(1, standing.length);
    const half = ZONES[zone].stripCm[product?.family ?? 'hard'][1] / 2;
    const way = rotate([0, 1], layDeg);
    // on the hair that stands nearest to the middle of what is left
    const at = [...standing].sort(
      (a, b) =>
        Math.hypot(a.at[0] - middle(0), a.at[1] - middle(1)) - Math.hypot(b.at[0] - middle(0), b.at[1] - middle(1)),
    )[0]?.at ?? [middle(0), middle(1)];
    lay([at[0] - way[0] * half, at[1] - way[1] * half], [at[0] + way[0] * half, at[1] + way[1] * half]);
  };
  const pull = ({ liftDeg, cmPerS }: SidePull): void => {
    if (!strip || !product || !practice.chosen || touchC === null || !answer?.slab) return;
    const { way, coats } = practice.chosen;
    step({
      do: 'pull',
      act: {
        ...{ product, way, coats, touchC, outline: strip.outline, lay: strip.lay },
        thicknessMm: answer.slab.plannedMm * practice.thick,
        waitS: waitedS(practice, tabletNow()),
        pull: { way: own ?? scale(strip.lay, -1), liftDeg, cmPerS },
        ...{ taut: practice.taut, pressed: false, drySkin: practice.prepared, told: practice.told },
        rubbed: practice.rubbed || !isUnderCloth(product, way),
      },
    });
  };
  const aimAt = (way: Vec): void => {
    if (laid) setAim({ strip: laid.from, way });
  };
  const aimDeg = ((): number | null => {
    if (!own || !strip) return null;
    const back = scale(strip.lay, -1);
    return Math.round(angleBetweenDeg(own, back) / 5) * 5 * (own[0] * back[1] - own[1] * back[0] > 0 ? -1 : 1);
  })();
  const drawing = drawingFor();
  const heading = station === 'look' ? lookHeading() : HEADINGS[station];

  function lookHeading(): string {
    return answer?.looked ? resultHeading(answer.looked) : 'Looking …';
  }
  function drawingFor(): Pick<Parameters<typeof SkinSheet>[0], 'onMove' | 'onEnd'> {
    switch (station) {
      case 'feel':
        return { onMove: (s) => brush(s, false), onEnd: (s) => brush(s, true) };
      case 'lay':
        return {
          onMove: setDraft,
          onEnd: (s) => {
            setDraft(null);
            lay(s.from, s.to);
          },
        };
      case 'pull':
        return {
          onEnd: ({ from, to }) => {
            const far = Math.hypot(to[0] - from[0], to[1] - from[1]);
            if (far > 0.5) aimAt([(to[0] - from[0]) / far, (to[1] - from[1]) / far]);
          },
        };
      case 'look':
        return { onEnd: ({ to }) => ask(nearest(to)) };
      default:
        return {};
    }
  }
  function nearest(at: Vec): number | null {
    const fates = answer?.looked?.answer.fates ?? [];
    const far = (id: number): number => {
      const h = answer?.hairs[id];
      return h ? Math.hypot(h.at[0] - at[0], h.at[1] - at[1]) : Infinity;
    };
    const [best] = fates.map((f) => f.hair).sort((a, b) => far(a) - far(b));
    return best !== undefined && far(best) < 0.6 ? best : null;
  }
  const shown: HandStrip | null = draft ? handStrip(draft.from, draft.to, width) : strip;
  const isDrawn = station === 'wait' || station === 'pull' || station === 'look' || (station === 'lay' && draft);
  return (
    <section className={styles.page}>
      <div className={styles.body}>
        <Flank practising={practising} person={person} />
        <div className={styles.work}>
          <div className={styles.head}>
            <h1>{heading}</h1>
            <Rooms of="practice" here="/practice" />
          </div>
          <Fault text={failed ? 'The skin could not be drawn. Reload the page: your practice is kept.' : notKept} />
          {answer ? (
            <SkinSheet
              {...drawing}
              onCancel={() => setDraft(null)}
              answer={answer}
              zone={zone}
              side={side}
              coarseness={hair.coarseness}
              revealed={station === 'feel' || station === 'choose' ? revealed : null}
              signs={station === 'look'}
              asks={asks}
              label={`${ZONES[zone].name}: ${answer.hairs.length} hairs, ${answer.state.filter((s) => s === 'standing').length} standing`}
            >
              {(drawn: Drawn) =>
                shown && isDrawn ? (
                  <StripDrawing
                    drawn={drawn}
                    strip={shown}
                    isOff={station === 'look'}
                    pulled={station === 'look' ? practice.acts.at(-1)?.pull : undefined}
                    planned={station === 'look' ? answer.looked?.planner?.act.pull.way : undefined}
                    aim={station === 'pull' ? own : null}
                  />
                ) : null
              }
            </SkinSheet>
          ) : (
            <div className={styles.sheet} role="status">
              The skin is being drawn …
            </div>
          )}
          {station === 'feel' ? <FeelWords practising={practising} onBrush={brush} /> : null}
          {station === 'look' ? (
            <>
              <AskedHair practising={practising} />
              <Decide practising={practising} />
            </>
          ) : null}
          {station === 'pull' && strip ? (
            <>
              <p className={styles.aimed}>
                {own ? 'Aimed. Now take the end:' : 'First aim: draw on the skin from the tab the way you will pull.'}
              </p>
              <SideView lengthCm={strip.lengthCm} disabled={!own} onPull={pull} />
            </>
          ) : null}
        </div>
        <div className={styles.right}>
          {station === 'choose' || station === 'feel' ? (
            <ChoosePanel practising={practising} products={products} />
          ) : null}
          {station === 'wrist' ? <WristPanel practising={practising} /> : null}
          {station === 'lay' ? (
            <LayPanel practising={practising} deg={layDeg} onTurn={setLayDeg} onLay={layByKeys} />
          ) : null}
          {station === 'wait' ? <WaitPanel practising={practising} firstMs={firstMs} /> : null}
          {station === 'pull' ? (
            <PullPanel
              practising={practising}
              aimDeg={aimDeg}
              lengthCm={strip?.lengthCm ?? 0}
              onAim={(turn) => strip && aimAt(rotate(scale(strip.lay, -1), turn))}
              onPull={pull}
            />
          ) : null}
          {station === 'look' ? <LookPanel practising={practising} /> : null}
        </div>
      </div>
      <FootSteps
        label="Steps of a strip"
        here={station}
        steps={STATIONS.map((id) => ({
          ...{ id, name: STATION_NAMES[id], isClosed: !mayGo(practice, id) },
          result: stationResult(practice, id, product, outOf(answer?.looked?.answer)),
          go: () => step({ do: 'go', to: id, atMs: tabletNow() }),
        }))}
      />
    </section>
  );
}

const outOf = (came: { readonly out: number; readonly fates: readonly unknown[] } | undefined): string =>
  came ? `${came.out} of ${came.fates.length} with the root` : '';

const BRUSHES = [
  ['down', [0, 1]],
  ['up', [0, -1]],
  ['to the left', [-1, 0]],
  ['to the right', [1, 0]],
] as const;

/** What the brush told, and the brush by keys. */
function FeelWords({
  practising: { practice, answer },
  onBrush,
}: {
  readonly practising: ReturnType<typeof usePractice>;
  readonly onBrush: (stroke: Stroke, ends: boolean) => void;
}) {
  const last = practice.brushed.at(-1);
  const across = (way: Vec): void => {
    const [w, h] = answer?.sheetCm ?? [10, 10];
    const middle: Vec = [w / 2, h / 2];
    const places = Array.from({ length: 21 }, (_, k): Vec => {
      const t = (k / 10 - 1) * 0.4;
      return [middle[0] + way[0] * t * w, middle[1] + way[1] * t * h];
    });
    const [from, to] = [places[0], places.at(-1)];
    if (from && to) onBrush({ from, to, places }, true);
  };
  return (
    <div className={styles.feel}>
      <p role="status">
        {last ? (
          <b>{last.lay ? 'It lies down: that is with the growth.' : 'It stands up: that is against the growth.'}</b>
        ) : (
          'Stroke it with a finger or the mouse, or by a key:'
        )}
      </p>
      <div className={styles.row} role="group" aria-label="Brush the sheet">
        {BRUSHES.map(([word, way]) => (
          <button key={word} disabled={!answer} onClick={() => across(way)}>
            {word}
          </button>
        ))}
      </div>
    </div>
  );
}
