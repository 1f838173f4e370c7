import Link from 'next/link';
import type { Today, TodayVisit } from '@/server/services/today';
import { dayMonth, plural, timeOfDay, weekday, withDates } from '@/ui/words';
import { bandParts, ribbonOf, shareOf, type Ribbon } from './ribbon';
import { WaitingHere } from './WaitingHere.client';
import { OpenVisitButton } from './OpenVisitButton.client';
import styles from './TodayView.module.css';

const COUNT = [
  'no visits',
  'one visit',
  'two visits',
  'three visits',
  'four visits',
  'five visits',
  'six visits',
  'seven visits',
  'eight visits',
];
const ITEMS: Readonly<Record<string, string>> = {
  'film-hard': 'film hard wax',
  'cream-hard': 'cream hard wax',
  soft: 'soft wax',
  'sugar-soft': 'sugar, soft',
  'sugar-firm': 'sugar, firm',
  'sugar-hard': 'sugar, hard',
  stick: 'sticks',
  cloth: 'cloths',
  gloves: 'gloves',
  cleanser: 'cleanser',
  oil: 'oil',
  powder: 'powder',
  gauze: 'gauze',
};

export function TodayView({ today }: { readonly today: Today }) {
  const { visits, timeZone, nowMs, people } = today;
  const working = people.filter((p) => visits.some((v) => v.personId === p.id));
  const ribbon = ribbonOf(visits, nowMs);
  const next =
    visits.find((v) => v.state !== 'closed' && v.startsAtMs + v.minutes * 60_000 > nowMs) ??
    visits.find((v) => v.state !== 'closed');
  const needs = visits.filter((v) => v.words.length > 0);
  const coming = visits.filter((v) => v.isComing).length;
  const home =
    visits.length > 0
      ? `, home by ${timeOfDay(Math.max(...visits.map((v) => v.startsAtMs + v.minutes * 60_000)), timeZone)}`
      : '';
  return (
    <section className={styles.page}>
      <div className={styles.head}>
        <h1>
          {weekday(today.date)} at {today.studioName}
        </h1>
        <p className="quiet">
          {COUNT[visits.length] ?? plural(visits.length, 'visit')}
          {home} · {dayMonth(today.date)}
        </p>
        <nav className={styles.rooms} aria-label="Day or week">
          <Link href="/" aria-current="page">
            Day
          </Link>
          <Link href="/week">Week</Link>
        </nav>
      </div>
      <WaitingHere />
      {visits.length === 0 ? (
        <div className={styles.empty}>
          <h2>Nobody is booked today</h2>
          <p>
            A client has walked in? Find the card under <Link href="/clients">Clients</Link> and open a visit there; the
            next one is booked at the end of each visit.
          </p>
        </div>
      ) : (
        <>
          <div className={styles.ribbon}>
            <Hours ribbon={ribbon} timeZone={timeZone} nowMs={nowMs} />
            {working.map((person) => (
              <div key={person.id} className={styles.lane}>
                <h2 className={styles.person}>{person.name}</h2>
                <div className={styles.track} role="list" aria-label={`Visits of ${person.name}`}>
                  {visits
                    .filter((v) => v.personId === person.id)
                    .map((v) => (
                      <Band key={v.bookingId} visit={v} ribbon={ribbon} timeZone={timeZone} />
                    ))}
                </div>
              </div>
            ))}
            <Legend />
          </div>
          <div className={styles.below}>
            <section>
              <h2>Needs a word from you</h2>
              {coming > 0 ? (
                <p className="quiet" role="status">
                  Still planning {plural(coming, 'visit')} …
                </p>
              ) : null}
              {needs.length === 0 && coming === 0 ? (
                <p className="quiet">Nothing. Hair, consent and cards are as they should be.</p>
              ) : (
                <ul className={styles.words}>
                  {needs.flatMap((v) =>
                    v.words.map((w, i) => (
                      <li key={`${v.bookingId}${i}`} className={w.weight === 'stop' ? styles.stop : styles.note}>
                        <strong>
                          {v.clientName}, {timeOfDay(v.startsAtMs, timeZone)}.
                        </strong>{' '}
                        {withDates(w.text)}{' '}
                        <OpenVisitButton bookingId={v.bookingId} visitId={v.visitId} label="Look at it" quiet />
                      </li>
                    )),
                  )}
                </ul>
              )}
            </section>
            {next ? <Tray visit={next} timeZone={timeZone} /> : null}
          </div>
        </>
      )}
    </section>
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
  return (
    <div className={styles.hours} aria-hidden="true">
      {ribbon.hours.map((h) => (
        <span
          key={h}
          className={styles.hour}
          data-last={h === ribbon.hours.at(-1)}
          style={{ left: `${100 * shareOf(ribbon, h)}%` }}
        >
          <i>{timeOfDay(h, timeZone)}</i>
        </span>
      ))}
      {now > 0 && now < 1 ? (
        <span className={styles.now} style={{ left: `${100 * now}%` }}>
          <i>now {timeOfDay(nowMs, timeZone)}</i>
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

function Band({
  visit,
  ribbon,
  timeZone,
}: {
  readonly visit: TodayVisit;
  readonly ribbon: Ribbon;
  readonly timeZone: string;
}) {
  const left = 100 * shareOf(ribbon, visit.startsAtMs);
  const width = (100 * visit.minutes * 60_000) / (ribbon.toMs - ribbon.fromMs);
  const parts = bandParts(visit);
  const [word] = visit.words;
  return (
    <article
      className={styles.band}
      data-state={visit.state}
      role="listitem"
      style={{ '--left': `${left}%`, '--width': `${width}%` } as React.CSSProperties}
    >
      <OpenVisitButton
        bookingId={visit.bookingId}
        visitId={visit.visitId}
        label={visit.clientName}
        className={styles.open}
      />
      <p className={styles.what}>
        {timeOfDay(visit.startsAtMs, timeZone)} · {visit.what}
        {visit.product ? `, ${visit.product.split(',')[0]?.toLowerCase()}` : ''}
      </p>
      {STATE_WORDS[visit.state] ? <p className={styles.state}>{STATE_WORDS[visit.state]}</p> : null}
      {word ? (
        <p className={word.weight === 'stop' ? styles.bandStop : styles.bandNote}>{withDates(word.text)}</p>
      ) : null}
      {visit.isComing ? <p className={styles.coming}>planning …</p> : <Parts parts={parts} />}
    </article>
  );
}

/** The visit cut into its real parts, to scale. */
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

function Legend() {
  return (
    <p className={styles.legend} aria-hidden="true">
      {['prepare', 'lay and pull', 'read', 'finish', 'turnover and spare'].map((name, i) => (
        <span key={name}>
          <i data-part={i} />
          {name}
        </span>
      ))}
    </p>
  );
}

function Tray({ visit, timeZone }: { readonly visit: TodayVisit; readonly timeZone: string }) {
  return (
    <section>
      <h2>
        Tray for {timeOfDay(visit.startsAtMs, timeZone)}, {visit.clientName}
      </h2>
      {visit.tray.length === 0 ? (
        <p className="quiet">
          {visit.isComing
            ? 'Counted as soon as the visit is planned.'
            : 'Nothing to lay out before the question above is answered.'}
        </p>
      ) : (
        <ul className={styles.tray}>
          {visit.tray.map((t) => (
            <li key={t.item}>
              {t.unit === 'piece'
                ? `${t.amount} ${ITEMS[t.item] ?? t.item}`
                : `${ITEMS[t.item] ?? t.item}, ${t.amount} ${t.unit === 'pair' && t.amount !== 1 ? 'pairs' : t.unit}`}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
