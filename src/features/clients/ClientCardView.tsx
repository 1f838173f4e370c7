import { degrees } from '@/formats/heat';
import { Link } from '@/ui/Link';
import { OpenVisitButton } from '@/features/today/OpenVisitButton.client';
import type { ClientCard } from '@/server/services/clients';
import type { Progress } from '@/server/services/progress';
import { dateAndTime, dayMonthYear, plural } from '@/ui/words';
import { CardRecord } from './CardRecord';
import { CardTools } from './CardTools.client';
import { LengthThread } from './LengthThread';
import { ProgressBoard } from './progress/ProgressBoard';
import { TogetherWith } from './TogetherWith.client';
import { WalkIn } from './WalkIn.client';
import styles from './Clients.module.css';

const FELT: Readonly<Record<string, string>> = {
  'too-warm': 'felt too warm',
  right: 'felt right',
  'too-cool': 'felt too cool',
};

/** What was left, as far as it was said. */
function tweezedWords({ tweezed, cleared, isRead }: ClientCard['visits'][number]): string {
  if (!isRead) return 'not read';
  if (tweezed > 0) return `${tweezed} tweezed`;
  return cleared ? 'nothing left' : '';
}

export function ClientCardView({ card, progress }: { readonly card: ClientCard; readonly progress: Progress | null }) {
  const { client, alerts, zones, visits, ahead, notDone, timeZone } = card;
  return (
    <section className={styles.page}>
      <p className={styles.crumb}>
        <Link href="/clients">Clients</Link>
      </p>
      <div className={styles.head}>
        <div>
          <h1>{client.name}</h1>
          <p className="quiet">
            {[client.byline, client.bornOn ? `born ${dayMonthYear(client.bornOn)}` : '', client.phone]
              .filter(Boolean)
              .join(' · ')}
          </p>
        </div>
        {client.archivedAtMs === null ? (
          <WalkIn clientId={client.id} zones={zones.map(({ zone, side, name }) => ({ zone, side, name }))} />
        ) : (
          <p className={styles.away}>This card is archived.</p>
        )}
      </div>
      <CardTools card={card} />
      <TogetherWith clientId={client.id} all={card.together} />
      {alerts.length > 0 ? (
        <ul className={styles.cardAlerts} aria-label="Alerts">
          {alerts.map((a) => (
            <li key={a}>{a}</li>
          ))}
        </ul>
      ) : null}
      {card.lessons.length > 0 ? (
        <ul className={styles.lessons} aria-label="Standing lessons">
          {card.lessons.map((l) => (
            <li key={`${l.name} ${l.words}`}>
              <strong>{l.name}:</strong> {l.words} <span className="quiet">Remarked {l.times} times.</span>
            </li>
          ))}
        </ul>
      ) : null}
      {card.trials.length > 0 ? (
        <section className={styles.lessons} aria-label="Tried side by side">
          <strong>Tried side by side</strong>
          {card.trials.map((t) => (
            <span key={t}>{t}</span>
          ))}
        </section>
      ) : null}
      {progress && progress.visits > 0 ? (
        <section className={styles.progress} aria-label="Progress">
          <h2>
            Progress <Link href={`/clients/${client.id}/progress`}>Show the client</Link>
          </h2>
          <ProgressBoard progress={progress} />
        </section>
      ) : null}
      <div className={styles.columns}>
        <div className={styles.stack}>
          <section>
            <h2>Visits</h2>
            {visits.length === 0 ? (
              <p className="quiet">None yet. The first one fills this thread.</p>
            ) : (
              <ol className={styles.thread}>
                {visits.map((v) => (
                  <li key={v.id}>
                    <Link href={`/visits/${v.id}/read`} className={styles.visit}>
                      <strong>{dayMonthYear(v.on)}</strong>
                    </Link>
                    <span>{v.zones.join('; ')}</span>
                    <span className="quiet">
                      {[
                        v.product ? v.product.replace('-', ' ') : '',
                        [v.targetC ? `about ${degrees(v.targetC)}` : '', v.felt ? (FELT[v.felt] ?? '') : '']
                          .filter(Boolean)
                          .join(', '),
                        tweezedWords(v),
                      ]
                        .filter(Boolean)
                        .join(' · ')}
                    </span>
                    {v.home === '' ? null : <span className="quiet">At home: {v.home}</span>}
                    {[...new Set(v.notes)].map((n) => (
                      <span key={n} className={styles.visitNote}>
                        {n}
                      </span>
                    ))}
                  </li>
                ))}
              </ol>
            )}
            {visits.length < card.visitCount ? (
              <Link href={`/clients/${client.id}?visits=all`} className={styles.visit}>
                All {card.visitCount} visits
              </Link>
            ) : null}
          </section>
          <BeforeBook card={card} />
          {notDone.length > 0 ? (
            <section>
              <h2>Put off or declined</h2>
              <ul className={styles.ahead}>
                {notDone.map((v) => (
                  <li key={v.id}>
                    <Link href={`/visits/${v.id}/consult`}>{dayMonthYear(v.on)}</Link>: {v.endedAs}.{' '}
                    <span className="quiet">{v.why.join(' ')}</span>
                  </li>
                ))}
              </ul>
            </section>
          ) : null}
        </div>
        <div className={styles.stack}>
          <section>
            <h2>Ahead</h2>
            {ahead.length === 0 ? (
              <p className="quiet">Nothing booked. The next date is proposed at the end of a visit.</p>
            ) : (
              <ul className={styles.ahead}>
                {ahead.map((b) => (
                  <li key={b.bookingId}>
                    <OpenVisitButton
                      bookingId={b.bookingId}
                      visitId={b.visitId}
                      label={dateAndTime(b.startsAtMs, timeZone)}
                      quiet
                    />
                    <span className="quiet">
                      {' '}
                      · {b.minutes} min · {b.zones.join('; ')}
                    </span>
                  </li>
                ))}
              </ul>
            )}
          </section>
          <section>
            <h2>Length found, visit by visit</h2>
            {zones.length === 0 ? (
              <p className="quiet">Each visit adds a point; the growth of this client is learned from them.</p>
            ) : (
              zones.map((z) => (
                <div key={z.name} className={styles.zone}>
                  <h3>{z.name}</h3>
                  <LengthThread lengths={z.lengths} />
                  <p className="quiet">
                    {z.visits === 0
                      ? 'Not enough visits to tell this client’s own growth.'
                      : `Grows at about ${Math.round(100 * z.rateFactor)} % of the usual rate, from ${plural(z.visits, 'interval')}.`}
                  </p>
                </div>
              ))
            )}
          </section>
          <CardRecord card={card} />
        </div>
      </div>
    </section>
  );
}

/** Visits of before this book, as far as they were told. */
function BeforeBook({ card: { before, beforeCount, client } }: { readonly card: ClientCard }) {
  if (before.length === 0) return null;
  return (
    <section aria-label="Before this book">
      <h2>Before this book</h2>
      <ul className={styles.ahead}>
        {before.map((p) => (
          <li key={p.id}>
            {dayMonthYear(p.on)} <span className="quiet">{p.words}</span>
          </li>
        ))}
      </ul>
      {before.length < beforeCount ? (
        <Link href={`/clients/${client.id}?visits=all`} className={styles.visit}>
          All {beforeCount} of before
        </Link>
      ) : null}
    </section>
  );
}
