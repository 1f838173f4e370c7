'use client';

import { heatInside } from '@/formats/heat';
import { sized } from '@/formats/size';
import { Button, Input, Radio, Slider } from 'antd';
import dynamic from 'next/dynamic';
import { useDeferredValue, useMemo, useState } from 'react';
import { ZONES } from '@/core/anatomy';
import {
  BURN_LIMIT,
  boundWords,
  feltLimitC,
  LATER_PASS_MM,
  readHeat,
  thicknessNodes,
  thicknessStep,
  windowOpeners,
  type HeatNeed,
  type HeatTable,
  type SkinState,
} from '@/core/heat';
import { mannerName, mannerOf, type Product, type Way } from '@/core/products';
import type { PlanHeat } from '@/core/plan';
import type { BenchZone } from '@/server/services/bench';
import { useWorkerAnswer } from '@/ui/useWorkerAnswer';
import { dayMonth, degrees, withDates } from '@/ui/words';
import type { HeatAnswer, HeatQuestion } from '@/workers/heat.worker';
import { useBench } from '../BenchContext.client';
import { HeatBands } from './HeatBands';
import { coatWords, Ready } from './Ready';
import { PotLine } from './PotLine.client';
import styles from './Match.module.css';

const FeltCurve = dynamic(() => import('./FeltCurve.client').then((m) => m.FeltCurve), {
  ssr: false,
  loading: () => <p className="quiet">The curve is being drawn …</p>,
});

const REASONS = ['right last time', 'wants it cooler', 'thinner grips', 'stiff in the pot'] as const;
const FELT = { 'too-warm': 'too warm', right: 'right', 'too-cool': 'too cool' } as const;
const round = (value: number, step: number): number => Math.round(value / step) * step;

interface Props {
  readonly zone: BenchZone;
  readonly product: Product;
  readonly way: Way;
  readonly heat: PlanHeat;
}

/**
 * The heat of the choice: three bands and their overlap, slab and touch to be tried on a table solved beside the page,
 * and what is felt.
 */
export function HeatPanel({ zone, product, way, heat }: Props) {
  const { bench, saveChart } = useBench();
  const [state, setState] = useState<SkinState>('fresh');
  const [slab, setSlab] = useState<number | null>(null);
  const [touch, setTouch] = useState<number | null>(null);
  const [reason, setReason] = useState('');
  const manner = mannerOf(product, way);
  const { skin } = ZONES[zone.zone];
  const { sensitivity } = bench.visit.consult;
  const { roomC } = bench.studio.settings;
  // a plan kept from before the limit was written down has none: then the usual one of this skin
  const limitC = heat.limitC > 0 ? heat.limitC : feltLimitC(skin, sensitivity);
  const need: HeatNeed | null = manner
    ? {
        product,
        manner,
        mannerName: mannerName(product.family, way),
        skin,
        sensitivity,
        roomC,
        lowerLimitK: feltLimitC(skin, sensitivity) - limitC,
        state,
      }
    : null;
  const answer = useWorkerAnswer<HeatQuestion, HeatAnswer>(
    () => new Worker(new URL('../../../workers/heat.worker.ts', import.meta.url), { type: 'module' }),
    need ? { kind: 'table', need } : null,
  );
  const table: HeatTable | null =
    answer !== null && answer !== 'failed' && answer.kind === 'table' ? answer.table : null;
  const plannedMm =
    state === 'fresh' ? heat.thicknessMm : Math.min(LATER_PASS_MM, manner?.thicknessMm.usual ?? LATER_PASS_MM);
  const thicknessMm = slab ?? plannedMm;
  const taken = zone.data.heat?.product === product.id ? zone.data.heat : undefined;
  const planned = slab === null ? heat.workingC.target : taken?.touchC;
  const asked = touch ?? (state === 'fresh' ? planned : undefined);
  const reading = useMemo(() => (table ? readHeat(table, thicknessMm, asked) : null), [table, thicknessMm, asked]);
  // the sliders, the bands and the words move at once; the curve may come a moment behind them
  const drawn = useDeferredValue(reading);
  if (!manner || !need) return null;
  const closed = bench.visit.status === 'closed';
  const w = reading?.window ?? {
    flowC: { min: heat.bands.flowC[0], max: heat.bands.flowC[1] },
    feelMaxC: heat.bands.feelMaxC,
    labelC: { min: heat.bands.labelC[0], max: heat.bands.labelC[1] },
    minC: heat.workingC.min,
    maxC: heat.workingC.max,
    empty: false,
  };
  const touchC = touch ?? reading?.touchC ?? heat.workingC.target;
  const feltC = reading?.feltPeakC ?? heat.feltPeakC;
  const sets = product.setting !== null;
  const isTried =
    state === 'fresh' &&
    (Math.abs(thicknessMm - heat.thicknessMm) > 1e-6 ||
      (touch !== null && Math.abs(touch - heat.workingC.target) > 0.05));
  // the table is of one slab; two coats have the plan's own window, with the rest between them
  const coated = state === 'fresh' && heat.rest !== null;
  const fromS = Math.ceil(coated ? heat.setS.min : (reading?.setAfterS ?? heat.setS.min));
  const toS = Math.floor(coated ? heat.setS.max : (reading?.latestPullS ?? heat.setS.max));
  const pullFrom = (setAfterS: number): number | null => (sets ? (coated && fromS) || Math.ceil(setAfterS) : null);
  const nodes = thicknessNodes(manner);
  const overK = feltC - limitC;
  const isOut = w.empty || touchC > w.maxC + 0.05 || touchC < w.minC - 0.05;
  const low = Math.floor(Math.max(w.labelC.min - 4, Math.min(w.flowC.min, w.labelC.min)));
  const high = Math.ceil(Math.min(w.labelC.max + 4, Math.max(w.flowC.max, w.labelC.max)));
  const reset = (): void => {
    setSlab(null);
    setTouch(null);
    setReason('');
  };
  const both = bench.zones.filter((z) => z.zone === zone.zone);
  const take = (): void => {
    // only what was moved is taken by hand; the other keeps following the model, or what was taken before
    const [mm, c] = [slab ?? taken?.thicknessMm, touch ?? taken?.touchC];
    for (const z of both) {
      saveChart(z, {
        ...z.data,
        heat: {
          product: product.id,
          reason: reason.trim(),
          ...(mm === undefined ? {} : { thicknessMm: mm }),
          ...(c === undefined ? {} : { touchC: c }),
        },
      });
    }
    reset();
  };
  const back = (): void => {
    for (const z of both) saveChart(z, { ...z.data, heat: undefined });
    reset();
  };
  const past = bench.client.heatFelt.filter((f) => f.zone === zone.zone && f.product === product.id);
  const openers = w.empty && reading ? windowOpeners({ ...need, thicknessMm }, reading.window) : [];
  return (
    <section className={styles.heat} aria-label="Heat for this skin">
      <div className={styles.heatHead}>
        <h2>Heat for this skin</h2>
        <span className="quiet">{product.name.split(',')[0]?.toLowerCase()}</span>
      </div>
      <p className={styles.atTouch}>
        <b>{degrees(touchC)}</b>
        <span>
          at touch{w.empty ? '' : `, ${heatInside(w.minC, w.maxC)}`}
          <br />
          <span className="quiet">pot to about {degrees(heat.potC)}</span>
        </span>
      </p>
      <p className={styles.wrist}>
        <strong>Test on your wrist first.</strong> The figures are estimates.
      </p>
      {heat.laterPass ? (
        <Radio.Group
          aria-label="Skin"
          optionType="button"
          value={state}
          options={[
            { value: 'fresh', label: 'first pass' },
            { value: 'after-pass', label: 'waxed skin' },
          ]}
          onChange={(e) => {
            setState(e.target.value as SkinState);
            reset();
          }}
        />
      ) : null}
      <HeatBands window={w} targetC={touchC} />
      <label id="slab" className={styles.slide}>
        Thickness <strong>{sized(thicknessMm, 'mm')}</strong>
        <Slider
          min={nodes[0] ?? 0}
          max={nodes.at(-1) ?? 1}
          step={thicknessStep(manner)}
          value={thicknessMm}
          disabled={closed || !table || nodes.length < 2}
          onChange={(mm) => setSlab(Math.round(mm * 1000) / 1000)}
          tooltip={{ open: false }}
          ariaLabelledByForHandle="slab"
        />
      </label>
      <label id="touch" className={styles.slide}>
        At touch <strong>{degrees(touchC)}</strong>
        <Slider
          min={low}
          max={high}
          step={0.5}
          value={round(touchC, 0.5)}
          disabled={closed || !table}
          onChange={setTouch}
          tooltip={{ open: false }}
          ariaLabelledByForHandle="touch"
        />
      </label>
      <div className={styles.curve}>
        {answer !== 'failed' && drawn ? (
          <FeltCurve
            reading={drawn}
            limitC={limitC}
            pullFromS={pullFrom(drawn.setAfterS)}
            pullToS={coated ? toS : Math.floor(drawn.latestPullS)}
          />
        ) : (
          <p className="quiet" role="status">
            {answer === 'failed'
              ? 'This tablet could not work out the curve; the plan’s own figures stand.'
              : 'The curve is being worked out …'}
          </p>
        )}
      </div>
      <div className={styles.figures}>
        <p data-felt={feltC.toFixed(2)}>
          Feels like about <strong>{degrees(feltC)}</strong>
          <Ready sets={sets} fromS={fromS} toS={toS} unknown={coated && isTried} />.
        </p>
        {coated ? <p>{coatWords(heat)}</p> : null}
        {isOut ? (
          <p role="status" className={styles.over}>
            {outWords(w, touchC, overK, reading?.burnOmega ?? 0)}
          </p>
        ) : null}
        {openers.map((o) => (
          <p key={o.kind}>{withDates(o.text)}</p>
        ))}
        {isTried ? (
          <div className={styles.tried}>
            <p>
              Tried out: the plan says {sized(heat.thicknessMm, 'mm')}, {degrees(heat.workingC.target)}.
            </p>
            <div className={styles.chips}>
              {REASONS.map((r) => (
                <button key={r} type="button" aria-pressed={reason === r} onClick={() => setReason(r)}>
                  {r}
                </button>
              ))}
            </div>
            <Input
              aria-label="Why"
              placeholder="or say why; it stays with this client"
              value={reason}
              maxLength={500}
              onChange={(e) => setReason(e.target.value)}
            />
            <div className={styles.pair}>
              <Button type="primary" disabled={isOut || reason.trim() === '' || closed} onClick={take}>
                Plan with it
              </Button>
              <Button onClick={reset}>Leave it</Button>
            </div>
          </div>
        ) : null}
        {taken && !isTried ? (
          <p className={styles.forced}>
            By hand:{' '}
            {[
              taken.thicknessMm === undefined ? '' : sized(taken.thicknessMm, 'mm'),
              taken.touchC === undefined ? '' : degrees(taken.touchC),
            ]
              .filter(Boolean)
              .join(', ')}
            {taken.reason ? `, ${taken.reason}` : ''}.{' '}
            <button type="button" disabled={closed} onClick={back}>
              Back to the model
            </button>
          </p>
        ) : null}
        {past.slice(0, 2).map((f) => (
          <p key={f.on + f.felt} className="quiet">
            {dayMonth(f.on)}: {f.touchC === undefined ? '' : `${degrees(f.touchC)} `}felt {FELT[f.felt]}.
          </p>
        ))}
        {state === 'fresh' ? null : (
          <p className="quiet">On waxed skin the same wax feels hotter: a thinner slab, its own window.</p>
        )}
        <p className="quiet">{reading ? bothBounds(reading.window) : 'Solving the heat for every slab …'}</p>
      </div>
      <div className={styles.pot}>
        <h3>The pot at about {degrees(heat.potC)}</h3>
        <PotLine product={product} heat={heat} roomC={roomC} />
      </div>
    </section>
  );
}

function bothBounds(window: Parameters<typeof boundWords>[0]): string {
  const { low, high } = boundWords(window);
  return `Below: it ${low}. Above: ${high}.`;
}

function outWords(
  w: { readonly empty: boolean; readonly minC: number; readonly maxC: number },
  touchC: number,
  overK: number,
  burnOmega: number,
): string {
  if (w.empty) return 'No working heat with this slab.';
  if (touchC < w.minC) return `Under the window: too stiff to grip. It begins at ${degrees(w.minC)}.`;
  return `Over the window, which ends at ${degrees(w.maxC)}${overK > 0 ? ': hotter than this skin bears' : ''}${burnOmega > BURN_LIMIT ? ', and it can burn' : ''}.`;
}
