'use client';

import { sized } from '@/formats/size';
import { usePots } from '@/features/live/livePots';
import { faultWords, heatFigure } from '@/features/live/potWords';
import type { LivePot } from '@/server/pots/livePot';
import type { PotOnPage, PotsView } from '@/server/services/pots';
import { shortDateTime, timeOfDay } from '@/ui/words';
import { AddPot } from './AddPot';
import { PotRow } from './PotRow';
import type { PotDay } from '@/core/pots';
import { ribbonOf } from '@/features/today/ribbon';
import { usePotDays } from '@/features/today/usePotDays';
import type { Today } from '@/server/services/today';
import type { TodayPots } from '@/server/services/todayPots';
import { useSeconds } from '@/ui/useSeconds';
import { Rooms } from '@/ui/Rooms';
import { usePotActs } from './usePotActs';
import styles from './Pots.module.css';

/** The finding: what is wrong first, then what the next visit finds. */
function finding(pots: readonly LivePot[], timeZone: string): string {
  if (pots.length === 0) return 'No pot is up yet';
  const faulty = pots.find((p) => p.isOverSet || p.next?.at === 'over');
  if (faulty) return `${faulty.name} is too warm: ${heatFigure(faulty.tempC)}`;
  const next = pots.filter((p) => p.next).sort((a, b) => (a.next?.startsAtMs ?? 0) - (b.next?.startsAtMs ?? 0));
  const [first] = next;
  if (!first?.next) return 'No visit of today wants a pot';
  const at = timeOfDay(first.next.startsAtMs, timeZone);
  if (first.next.at === 'in') return `${first.name} is right for ${at}`;
  if (first.next.at === 'under') return `${first.name} is too cool for ${at}: ${heatFigure(first.tempC)}`;
  return `${first.name} is wanted at ${at} and not measured`;
}

/** What is no heat: as the page's own acts have left it, whatever was heard before them. */
const standing = ({ waxG, heaterW, lid, school, lot, asOn, sensor, version }: PotOnPage) => ({
  ...{ waxG, heaterW, lid, school, lot, asOn, sensor, version },
});

const HALF_DAY_MS = 12 * 3_600_000;

interface Props {
  readonly first: PotsView;
  /** The day, for what the visits want. */
  readonly today: Today;
  readonly ofDay: TodayPots;
}

/** The pots as they stand, told by their probes or by hand, and their day. */
export function PotsPage({ first, today, ofDay }: Props) {
  const acts = usePotActs(first);
  const { view, said } = acts;
  const { timeZone } = today;
  const heard = usePots(null);
  const nowMs = useSeconds(today.nowMs);
  // of today the hour is enough
  const startMs = today.nowMs - HALF_DAY_MS;
  const pots = view.pots.map((p) => ({ ...p, ...heard.pots.find((h) => h.id === p.id), ...standing(p) }));
  const ribbon = ribbonOf(today.visits, today.nowMs);
  const { fromMs, days } = usePotDays(today, ofDay, ribbon.toMs);
  const dayOf = (id: string): PotDay | null => {
    const i = ofDay.pots.findIndex((p) => p.id === id);
    return days === null || days === 'failed' ? null : (days[i] ?? null);
  };
  return (
    <section className={styles.page}>
      <div className={styles.head}>
        <h1>{heard.isOld ? 'Nothing heard of the pots for a while' : finding(pots, timeZone)}</h1>
        <Rooms of="pots" here="/pots" />
        {heard.isOld ? <p role="alert">These figures are old: measure before a load.</p> : null}
      </div>
      {said ? (
        <p role={said.bad ? 'alert' : 'status'} className={said.bad ? styles.bad : 'quiet'}>
          {said.text}
        </p>
      ) : null}
      {pots.map((pot) => (
        <PotRow
          key={pot.id}
          pot={pot}
          ofDay={ofDay.pots.find((p) => p.id === pot.id)}
          day={dayOf(pot.id)}
          isFailed={days === 'failed'}
          fromMs={fromMs}
          nowMs={nowMs}
          today={today}
          ribbon={ribbon}
          roomC={ofDay.roomC}
          acts={acts}
          faults={faultWords(pot)}
        />
      ))}
      <div className={styles.foot}>
        <div>
          <h2>Lately</h2>
          {view.notes.length === 0 ? <p className="quiet">Nothing was measured or set yet.</p> : null}
          <ul className={styles.notes}>
            {view.notes.map((n) => (
              <li key={n.seq}>
                <b>{n.atMs < startMs ? shortDateTime(n.atMs, timeZone) : timeOfDay(n.atMs, timeZone)}</b>{' '}
                {n.pot.toLowerCase()}, {noteWords(n)}
                {n.person === '' ? null : <span className="quiet"> {n.person}</span>}
              </li>
            ))}
          </ul>
        </div>
        <AddPot products={view.products} onAdd={acts.add} isFirst={pots.length === 0} />
      </div>
    </section>
  );
}

const FELT_WORDS = { 'too-warm': 'too warm', right: 'right', 'too-cool': 'too cool' } as const;

function noteWords({ kind, tempC, felt, grams }: PotsView['notes'][number]): string {
  switch (kind) {
    case 'measured':
      return `measured ${heatFigure(tempC)}`;
    case 'wrist':
      return `wrist: ${felt === null ? '' : FELT_WORDS[felt]}${tempC === null ? '' : ` at ${heatFigure(tempC)}`}`;
    case 'weighed':
      return `weighed ${sized(grams ?? 0, 'g')}`;
    case 'added':
      return `${sized(grams ?? 0, 'g')} added`;
    case 'used':
      return `${sized(grams ?? 0, 'g')} used`;
    default:
      return tempC === null ? 'switched off' : `set to ${heatFigure(tempC)}`;
  }
}
