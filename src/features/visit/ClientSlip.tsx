import { sized } from '@/formats/size';
import { Link } from '@/ui/Link';
import { howMuchFor } from '@/core/agreement';
import { choiceOf } from './agreed';
import { CONSENT_CODES } from './consult/verdict';
import { ZONES, zoneKey } from '@/core/anatomy';
import { isSaid, trialWords } from '@/core/reading';
import { FACT_WORDS } from '@/core/screening';
import type { Reading } from '@/server/db/schema';
import type { Bench } from '@/server/services/bench';
import { dayMonth, plural } from '@/ui/words';
import { HomeCareAsked } from './HomeCareAsked';
import { productName } from './stations';
import styles from './Bench.module.css';

const FELT: Readonly<Record<string, string>> = {
  'too-warm': 'It felt too warm.',
  right: 'The heat felt right.',
  'too-cool': 'It felt too cool.',
};
const LEFT: Readonly<Record<string, string>> = {
  none: 'Nothing left.',
  few: 'A few left.',
  patch: 'A patch left.',
  many: 'Much left.',
};

/** What was said of the strip and the skin then; nothing of what was not. */
function lastReadWords(reading: Reading): string {
  return [
    isSaid(reading, 'left') ? LEFT[reading.left] : '',
    reading.tweezed > 0 ? `${reading.tweezed} tweezed.` : '',
    isSaid(reading, 'heatFelt') ? FELT[reading.heatFelt] : '',
    reading.note,
  ]
    .filter(Boolean)
    .join(' ');
}

/** Who it is, alerts first, what was agreed, last time. */
export function ClientSlip({
  bench,
  at,
  isBrief = false,
  asks = false,
}: {
  readonly bench: Bench;
  readonly at: string;
  /** Only who it is, alerts and last time. */
  readonly isBrief?: boolean;
  /** What was advised last time is asked about here. */
  readonly asks?: boolean;
}) {
  const { client, visit, zones, plan } = bench;
  const zone = zones.find((z) => zoneKey(z) === at);
  const count = client.visitCount + (visit.status === 'closed' ? 0 : 1);
  // consent is asked for in its own fold and stands there once
  const notes = plan.screening.reasons.filter((r) => r.outcome !== 'go' && !CONSENT_CODES.includes(r.code));
  // what the card's alerts already say is not said twice
  const fresh = notes
    .filter((r, i) => notes.findIndex((o) => o.text === r.text) === i)
    .filter(
      (r) =>
        r.fact === null ||
        !client.alerts.includes(FACT_WORDS[r.fact]) ||
        r.outcome === 'postpone' ||
        r.outcome === 'decline',
    );
  const trials = client.trials.filter((t) => t.zone === zone?.zone);
  const marks = zone?.data.marks.filter((m) => m.unseen) ?? [];
  return (
    <div className={styles.slip}>
      <h2 className={styles.name}>
        <Link href={`/clients/${client.id}`}>{client.name}</Link>
      </h2>
      <p className="quiet">
        {[client.byline, client.ageYears === null ? '' : String(client.ageYears), `${ordinal(count)} visit`]
          .filter(Boolean)
          .join(' · ')}
      </p>
      {client.alerts.length + fresh.length > 0 ? (
        <ul className={styles.alerts}>
          {client.alerts.map((a) => (
            <li key={a}>{a}</li>
          ))}
          {fresh.slice(0, 3).map((r) => (
            <li key={r.code + (r.zone ?? '')} data-weight={r.outcome}>
              {r.text}
            </li>
          ))}
          {fresh.length > 3 ? <li className="quiet">{plural(fresh.length - 3, 'more note')} under Consult</li> : null}
        </ul>
      ) : null}
      {marks.length > 0 && zone && !isBrief ? (
        <p className={styles.ask}>
          {plural(marks.length, 'mark')} on the {zone.name.toLowerCase()}
          {zone.side === 'middle' ? '' : `, ${zone.side}`}. Still there?
        </p>
      ) : null}
      {asks && bench.homeCare.since ? <HomeCareAsked since={bench.homeCare.since} /> : null}
      {isBrief ? null : <Agreed visit={visit} />}
      {zone?.last ? (
        <section>
          <h3>Last time, {dayMonth(zone.last.on)}</h3>
          <p className="quiet">
            {sized(zone.last.data.hair.lengthMm, 'mm')} long.{' '}
            {zone.last.reading ? lastReadWords(zone.last.reading) : 'The strip was not read.'}
          </p>
        </section>
      ) : (
        <section>
          <h3>Last time</h3>
          <p className="quiet">First time on this zone here.</p>
        </section>
      )}
      {trials.length > 0 ? (
        <section>
          <h3>Tried side by side</h3>
          {trials.slice(0, 2).map((t) => (
            <p key={t.on} className="quiet">
              {trialWords(t, (id) => productName(bench, id).toLowerCase())}
            </p>
          ))}
        </section>
      ) : null}
      {client.note !== '' && !isBrief ? (
        <section>
          <h3>Note</h3>
          <p className="quiet">{client.note}</p>
        </section>
      ) : null}
    </div>
  );
}

function Agreed({ visit }: { readonly visit: Bench['visit'] }) {
  const { agreed } = visit.consult;
  const lines = [
    ...new Set(
      agreed.howMuch.flatMap((h) =>
        howMuchFor(h.zone).length > 1
          ? [
              `${ZONES[h.zone].name}: ${(howMuchFor(h.zone).find((c) => c.id === choiceOf(agreed, h))?.label ?? '').toLowerCase()}`,
            ]
          : [],
      ),
    ),
    ...(agreed.coldPack ? ['Cold pack first'] : []),
    ...(agreed.company === 'either' ? [] : [agreed.company === 'quiet' ? 'Quiet' : 'Likes to talk']),
    ...(agreed.tweezing ? [] : ['No tweezing']),
    ...(agreed.words === '' ? [] : [agreed.words]),
  ];
  return lines.length === 0 ? null : (
    <section>
      <h3>Agreed</h3>
      <ul>
        {lines.map((l) => (
          <li key={l}>{l}</li>
        ))}
      </ul>
    </section>
  );
}

function ordinal(n: number): string {
  const rest = n % 100;
  const suffix = rest >= 11 && rest <= 13 ? 'th' : (['th', 'st', 'nd', 'rd'][n % 10] ?? 'th');
  return `${n}${suffix}`;
}
