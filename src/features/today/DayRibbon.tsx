import { markOf } from '@/ui/marks';
import type { ReactNode } from 'react';
import type { Today, TodayVisit } from '@/server/services/today';
import { timeOfDay } from '@/ui/words';
import { OpenVisitButton } from './OpenVisitButton.client';
import { bandParts, shareOf, type Ribbon } from './ribbon';
import styles from './TodayView.module.css';

interface Props {
  readonly today: Today;
  readonly ribbon: Ribbon;
  readonly nowMs: number;
  /** Who is next, by booking. */
  readonly nextId: string | null;
  /** Lanes of the pots. */
  readonly children: ReactNode;
  readonly pots: number;
}

const MINUTE_MS = 60_000;
/** Height of the day where time runs down, px. */
const TALL_PX = 520;

/** The day: a lane a person, the pots under them; across on a wide screen, down on a tall one. */
export function DayRibbon({ today, ribbon, nowMs, nextId, children, pots }: Props) {
  const { visits, people, timeZone } = today;
  const working = people.filter((p) => visits.some((v) => v.personId === p.id));
  const minutes = (ribbon.toMs - ribbon.fromMs) / MINUTE_MS;
  const style = {
    '--lanes': working.length,
    '--pots': pots,
    '--mins-of-day': minutes,
    '--px': `${Math.max(1, TALL_PX / minutes)}px`,
  } as React.CSSProperties;
  return (
    <div className={styles.ribbon} style={style}>
      <Hours ribbon={ribbon} timeZone={timeZone} nowMs={nowMs} />
      {working.map((person) => (
        <div key={person.id} className={styles.lane}>
          <h2 className={styles.person}>
            <b aria-hidden="true">{markOf(people, person.id)}</b>
            {person.name}
          </h2>
          <div className={styles.track} role="list" aria-label={`Visits of ${person.name}`}>
            {visits
              .filter((v) => v.personId === person.id)
              .map((v) => (
                <Band key={v.bookingId} visit={v} ribbon={ribbon} timeZone={timeZone} isNext={v.bookingId === nextId} />
              ))}
          </div>
        </div>
      ))}
      {children}
    </div>
  );
}

function Hours({
  ribbon,
  timeZone,
  nowMs,
}: {
  readonly ribbon: Ribbon;
  readonly timeZone: string;
  readonly nowMs: number;
}) {
  const now = shareOf(ribbon, nowMs);
  const at = (share: number): React.CSSProperties => ({ '--at': share }) as React.CSSProperties;
  return (
    <div className={styles.hours} aria-hidden="true">
      {ribbon.hours.map((h) => (
        <span key={h} className={styles.hour} data-last={h === ribbon.hours.at(-1)} style={at(shareOf(ribbon, h))}>
          <i>{timeOfDay(h, timeZone)}</i>
        </span>
      ))}
      {now > 0 && now < 1 ? (
        <span className={styles.now} style={at(now)}>
          <i>{timeOfDay(nowMs, timeZone)}</i>
        </span>
      ) : null}
    </div>
  );
}

const STATE_WORDS: Readonly<Record<TodayVisit['state'], string>> = {
  ahead: '',
  open: 'opened',
  'at-the-table': 'at the table',
  closed: 'done',
};

interface BandProps {
  readonly visit: TodayVisit;
  readonly ribbon: Ribbon;
  readonly timeZone: string;
  readonly isNext: boolean;
}

function Band({ visit, ribbon, timeZone, isNext }: BandProps) {
  const from = shareOf(ribbon, visit.startsAtMs);
  const long = (visit.minutes * MINUTE_MS) / (ribbon.toMs - ribbon.fromMs);
  const [word] = visit.words;
  return (
    <article
      className={styles.band}
      data-state={visit.state}
      data-next={isNext}
      data-stop={word?.weight === 'stop'}
      role="listitem"
      style={{ '--at': from, '--long': long } as React.CSSProperties}
    >
      <OpenVisitButton
        bookingId={visit.bookingId}
        visitId={visit.visitId}
        label={visit.clientName}
        className={styles.open}
      />
      <p className={styles.what}>
        {timeOfDay(visit.startsAtMs, timeZone)} · {visit.what}
        {STATE_WORDS[visit.state] ? <b> · {STATE_WORDS[visit.state]}</b> : null}
      </p>
      {word ? (
        <p className={styles.flag} data-weight={word.weight}>
          <Flag />
          {word.short}
        </p>
      ) : null}
      {visit.isComing ? <p className={styles.coming}>planning …</p> : <Parts parts={bandParts(visit)} />}
    </article>
  );
}

export function Flag() {
  return (
    <svg viewBox="0 0 20 20" width="18" height="18" aria-hidden="true">
      <path d="M3 2v17" stroke="currentColor" strokeWidth="2" />
      <path d="M4 3h13l-3.5 4L17 11H4z" fill="currentColor" />
    </svg>
  );
}

/** The visit cut into its real parts, to scale; spare time stays bare. */
function Parts({ parts }: { readonly parts: ReturnType<typeof bandParts> }) {
  return (
    <div
      className={styles.parts}
      role="img"
      aria-label={parts.map((p) => `${p.name} ${Math.round(p.minutes)} min`).join(', ')}
    >
      {parts.map((p, i) =>
        p.minutes > 0 ? (
          <i
            key={p.name}
            data-part={i}
            style={{ flexGrow: p.minutes }}
            title={`${p.name} ${Math.round(p.minutes)} min`}
          />
        ) : null,
      )}
    </div>
  );
}

export function Legend() {
  return (
    <p className={styles.legend} aria-hidden="true">
      {['prepare', 'lay and pull', 'read', 'finish'].map((name, i) => (
        <span key={name}>
          <i data-part={i} />
          {name}
        </span>
      ))}
    </p>
  );
}
