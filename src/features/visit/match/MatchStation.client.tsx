'use client';

import { zoneKey } from '@/core/anatomy';
import { Button } from 'antd';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import type { PlanOption, PlanZone } from '@/core/plan';
import { isStopped } from '@/core/screening';
import { dayMonth, percent, plural, withDates } from '@/ui/words';
import { useGo } from '../useGo';
import { useBench } from '../BenchContext.client';
import { useZone } from '../BenchFrame.client';
import { productName } from '../stations';
import { StationFoot, StationSide } from '../StationFoot.client';
import { StationTop } from '../StationTop';
import { AllFigures } from './AllFigures.client';
import { besideWords } from './besideWords';
import { MattersMost } from './MattersMost.client';
import { TooShort } from './TooShort';
import { Flips } from './Flips.client';
import { HeatPanel } from './HeatPanel.client';
import { HairRow } from './HairRow';
import { WAYS } from './wayWords';
import { WhyAnother } from './WhyAnother.client';
import { radioKeys } from '@/ui/radioKeys';
import styles from './Match.module.css';

/** The two weightiest reasons; the others one tap away. */
function WhyNot({ option: o }: { readonly option: PlanOption }) {
  const [all, setAll] = useState(false);
  const shown = all ? o.why : o.why.slice(0, 2);
  const more = o.why.length - shown.length;
  return (
    <span>
      Left out: {withDates(shown.join(' '))}
      {more === 0 && o.readyOn && !o.why.some((w) => w.includes('From'))
        ? ` Possible from ${dayMonth(o.readyOn)}.`
        : ''}
      {more > 0 ? (
        <>
          {' '}
          <button type="button" className={styles.moreWhy} onClick={() => setAll(true)}>
            and {plural(more, 'more reason')}
          </button>
        </>
      ) : null}
    </span>
  );
}

/** Why it stands first, or what it would be beside what does. */
function rowWords(o: PlanOption, chosen: PlanOption | undefined, choice: PlanZone['choice']): string {
  if (o === chosen) return choice?.because[0]?.text ?? '';
  return chosen ? besideWords(o, chosen) : '';
}

function takeWords(name: string | null, consent: boolean): string {
  if (name !== null) return `Take ${name}`;
  return consent ? 'Nothing holds' : 'Consent first';
}

/** Every product side by side, best first; what is left out says why. */
export function MatchStation() {
  const { bench } = useBench();
  const { zone } = useZone();
  const planned = bench.plan.zones.find((z) => zone && zoneKey(z) === zoneKey(zone));
  if (!zone || !planned) return <p>No zone yet: choose one under Consult.</p>;
  return (
    <div className={styles.station}>
      <Comparison key={zoneKey(zone)} />
    </div>
  );
}

function Comparison() {
  const { bench, saveChart } = useBench();
  const { zone } = useZone();
  const go = useGo();
  const planned = bench.plan.zones.find((z) => zone && zoneKey(z) === zoneKey(zone));
  const [picked, setPicked] = useState<string | null>(null);
  const [open, setOpen] = useState(false);
  if (!zone || !planned) return null;
  const { options, choice, heat } = planned;
  const closed = bench.visit.status === 'closed';
  const keyOf = (o: Pick<PlanOption, 'product' | 'way'>): string => `${o.product}/${o.way}`;
  const eligible = options.filter((o) => o.eligible);
  // house rules and later passes fill many rows: they wait behind a line of their own
  const isRuled = (o: PlanOption): boolean => o.excludedBy.some((c) => c.startsWith('school.') || c.startsWith('way.'));
  const left = options.filter((o) => !o.eligible && !isRuled(o));
  const ruled = options.filter((o) => !o.eligible && isRuled(o));
  const chosenProduct = bench.products.find((p) => p.id === choice?.product);
  const current = choice ? keyOf(choice) : null;
  const chosen = eligible.find((o) => keyOf(o) === current);
  const selected = options.find((o) => keyOf(o) === (picked ?? current));
  const isOther = picked !== null && picked !== current;
  const takeOther = (option: PlanOption, reason: string): void => {
    const both = bench.zones.filter((z) => z.zone === zone.zone);
    for (const z of both) saveChart(z, { ...z.data, product: option.product, way: option.way, reason });
    setPicked(null);
  };
  const proposal = (): void => {
    for (const z of bench.zones.filter((b) => b.zone === zone.zone)) {
      saveChart(z, { ...z.data, product: null, way: null, reason: '' });
    }
  };
  const name = selected ? productName(bench, selected.product).toLowerCase() : '';
  return (
    <>
      <StationTop
        title="What comes off best"
        note={(key) => {
          const c = bench.plan.zones.find((z) => zoneKey(z) === key)?.choice;
          return c ? productName(bench, c.product).toLowerCase() : 'nothing yet';
        }}
      />
      <StationFoot>
        <Button
          type="primary"
          onClick={() => go(`/visits/${bench.visit.id}/strips`)}
          disabled={!selected?.eligible || isOther || closed}
        >
          {isOther ? 'Say why, in its row' : takeWords(selected ? name : null, bench.visit.consult.consent)}
        </Button>
      </StationFoot>
      <MattersMost />
      {zone.data.product !== null && !isOther ? (
        <p className={styles.forced}>
          Your choice: {zone.data.reason || 'no reason noted'}.{' '}
          <button type="button" disabled={closed} onClick={proposal}>
            Back to the proposal
          </button>
        </p>
      ) : null}
      <div
        className={styles.table}
        role="radiogroup"
        aria-label="Products and ways"
        tabIndex={-1}
        onKeyDown={radioKeys}
      >
        <div className={styles.row} data-head aria-hidden="true">
          <span>Product and way</span>
          <span>Comes off clean</span>
          <span>left to tweeze</span>
          <span>minutes, all rounds</span>
          <span className={styles.loadHead}>
            skin load <i>mild</i> <i>high</i>
          </span>
        </div>
        {eligible.map((o) => [
          <button
            key={keyOf(o)}
            type="button"
            role="radio"
            aria-checked={keyOf(o) === (picked ?? current)}
            className={styles.row}
            disabled={closed}
            onClick={() => setPicked(keyOf(o) === current ? null : keyOf(o))}
          >
            <span>
              <strong>{productName(bench, o.product)}</strong>
              <small>
                {o.coats === 2 ? 'two coats, ' : ''}
                {WAYS[o.way]}
                {o.trimFirst ? ', trim first' : ''}
              </small>
            </span>
            <span className={styles.off} title={`${percent(o.workableShare)} of the hair is in its lengths`}>
              <HairRow share={o.removedShare} stays={o.leftHairs > 0} />
              <b>{percent(o.removedShare)}</b>
            </span>
            <span>
              {o.tweezed}
              {o.leftHairs > o.tweezed ? <small>{o.leftHairs - o.tweezed} stay</small> : null}
            </span>
            <span>{Math.round(o.allMinutes)}</span>
            <span>
              <i className={styles.load} role="img" aria-label={`skin load ${Math.round(o.skinLoad * 100)} of 100`}>
                <i style={{ width: `${100 * o.skinLoad}%` }} />
              </i>
            </span>
            <em className={styles.because}>{rowWords(o, chosen, choice)}</em>
          </button>,
          isOther && keyOf(o) === picked ? (
            <WhyAnother
              key="why"
              name={name}
              onTake={(reason) => takeOther(o, reason)}
              onLeave={() => setPicked(null)}
            />
          ) : null,
        ])}
        {left.map((o) => (
          <div key={keyOf(o)} className={styles.out}>
            <span>
              <strong>{productName(bench, o.product)}</strong>
              <small>{WAYS[o.way]}</small>
            </span>
            <WhyNot option={o} />
          </div>
        ))}
      </div>
      <div className={styles.more}>
        {ruled.length > 0 ? (
          <details className={styles.ruled} open={open} onToggle={(e) => setOpen(e.currentTarget.open)}>
            <summary>{ruled.length} more ways the house rules leave out</summary>
            {ruled.map((o) => (
              <p key={keyOf(o)}>
                <strong>{productName(bench, o.product)}</strong>, {WAYS[o.way]}: {withDates(o.why.join(' '))}
              </p>
            ))}
          </details>
        ) : null}
        {eligible.length > 0 ? (
          <AllFigures options={eligible} currency={bench.plan.cost.currency} nameOf={(id) => productName(bench, id)} />
        ) : null}
      </div>
      {heat ? null : (
        <StationSide>
          {isStopped(planned.outcome) ? <p>{withDates(planned.reasons[0] ?? '')}</p> : <TooShort zone={planned} />}
        </StationSide>
      )}
      {heat && chosenProduct && choice ? (
        <StationSide>
          <HeatPanel
            key={`${choice.product}/${choice.way}`}
            zone={zone}
            product={chosenProduct}
            way={choice.way}
            heat={heat}
          />
        </StationSide>
      ) : null}
      <div className={styles.two}>
        <section className={styles.reasons}>
          <h2>Why</h2>
          <ul>
            {planned.reasons.map((r) => (
              <li key={r}>{withDates(r)}</li>
            ))}
          </ul>
        </section>
        {closed ? null : (
          <Flips index={bench.zones.findIndex((z) => zoneKey(z) === zoneKey(zone))} isChosen={choice !== null} />
        )}
      </div>
      <p className="quiet">
        <Link href="/products">The catalogue</Link>: what each label says, and what counts when products are compared.
      </p>
    </>
  );
}
