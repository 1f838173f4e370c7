import { sized } from '@/formats/size';
import { Link } from '@/ui/Link';
import { FACT_WORDS } from '@/core/screening';
import type { ClientCard } from '@/server/services/clients';
import { dayMonthYear, dayMonthYearAt } from '@/ui/words';
import { REACTION_WORDS } from './cardFields';
import { SignatureView } from './SignatureView';
import styles from './Clients.module.css';

const MESSAGE_WORDS: Readonly<Record<ClientCard['messages'][number]['kind'], string>> = {
  referral: 'note for the doctor',
  postponed: 'visit put off',
  'after-care': 'after-care',
  reminder: 'reminder',
  offer: 'offer of a place',
};

/**
 * What is written on the card: lasting facts with their time, reactions, patch tests, consents, words sent, and its
 * history.
 */
export function CardRecord({ card }: { readonly card: ClientCard }) {
  const { profile } = card.client;
  const day = (atMs: number): string => dayMonthYearAt(atMs, card.timeZone);
  const name = (id: string): string => card.products.find((p) => p.id === id)?.name ?? id.replaceAll('-', ' ');
  return (
    <>
      <section aria-label="Health and skin">
        <h2>Skin and health</h2>
        <p>
          Sensitivity {profile.sensitivity} of 5, {profile.skin} skin
          {profile.ingrownProne ? ', prone to ingrown hair' : ''}.
          {profile.statureCm && profile.massKg
            ? ` ${sized(profile.statureCm, 'cm')}, ${sized(profile.massKg, 'kg')}.`
            : ' Height not noted: zones are drawn at average size.'}
        </p>
        {profile.standing.length > 0 ? (
          <ul className={styles.facts}>
            {profile.standing.map((f, i) => (
              <li key={i} data-over={f.until !== undefined && f.until < card.today}>
                <strong>{FACT_WORDS[f.fact]}</strong>{' '}
                <span className="quiet">
                  {[
                    f.since ? `since ${dayMonthYear(f.since)}` : '',
                    f.until ? `until ${dayMonthYear(f.until)}` : '',
                    f.lastOn ? `last ${dayMonthYear(f.lastOn)}` : '',
                  ]
                    .filter(Boolean)
                    .join(', ')}
                </span>
              </li>
            ))}
          </ul>
        ) : (
          <p className="quiet">No medical note.</p>
        )}
        {card.marks.length > 0 ? (
          <>
            <h3>Marks worked around</h3>
            <ul className={styles.facts}>
              {card.marks.map(({ name: place, mark }, i) => (
                <li key={i}>
                  <strong>
                    {place}: {mark.kind}
                  </strong>{' '}
                  <span className="quiet">
                    {sized(2 * mark.radiusMm, 'mm')}
                    {mark.since ? `, since ${dayMonthYear(mark.since)}` : ''}
                    {mark.note ? `. ${mark.note}` : ''}
                  </span>
                </li>
              ))}
            </ul>
          </>
        ) : null}
        {profile.reactions.length > 0 ? (
          <>
            <h3>Reactions</h3>
            <ul className={styles.facts}>
              {profile.reactions.map((r) => (
                <li key={r.id}>
                  <strong>{REACTION_WORDS[r.what]}</strong>{' '}
                  <span className="quiet">
                    {dayMonthYear(r.on)}
                    {r.product ? `, ${name(r.product)}` : ''}. {r.words}{' '}
                    {r.visitId ? <Link href={`/visits/${r.visitId}/incident`}>The record</Link> : null}
                  </span>
                </li>
              ))}
            </ul>
          </>
        ) : null}
        {profile.patchTests.length > 0 ? (
          <>
            <h3>Patch tests</h3>
            <ul className={styles.facts}>
              {profile.patchTests.map((t) => (
                <li key={t.id}>
                  <strong>{name(t.product)}</strong>{' '}
                  <span className="quiet">
                    {t.place}, {dayMonthYear(t.laidOn)}: {t.result ?? 'not read yet'}
                  </span>
                </li>
              ))}
            </ul>
          </>
        ) : null}
        {profile.blackout.length > 0 ? (
          <p className={styles.keptFree}>
            Kept free:{' '}
            {profile.blackout
              .map(
                (b) =>
                  `${dayMonthYear(b.from)}${b.to === b.from ? '' : ` to ${dayMonthYear(b.to)}`}${b.why ? ` (${b.why})` : ''}`,
              )
              .join(', ')}
            .
          </p>
        ) : null}
        {card.client.note ? <p className={styles.cardNote}>{card.client.note}</p> : null}
      </section>
      <section aria-label="Consents">
        <h2>Consents</h2>
        {card.consentEnds.map((e) => (
          <p key={e.id}>
            <strong>Taken back on {day(e.atMs)}</strong> <span className="quiet">{e.words}</span>
          </p>
        ))}
        {card.consents.length === 0 ? (
          <p className="quiet">
            {profile.consentOn
              ? `Noted on ${dayMonthYear(profile.consentOn)}; no signature on file.`
              : 'None on file. Hand the tablet over under Consult.'}
          </p>
        ) : (
          <ul className={styles.consents}>
            {card.consents.map((c) => (
              <li key={c.id}>
                <span>
                  {day(c.atMs)}, {c.signedBy === 'guardian' ? `guardian ${c.signerName}` : c.signerName}, words of
                  version {c.textVersion}
                </span>
                <SignatureView signature={c.signature} of={c.signerName} />
              </li>
            ))}
          </ul>
        )}
      </section>
      {card.messages.length > 0 ? (
        <section aria-label="Words given">
          <h2>Words given</h2>
          {card.messages.map((m) => (
            <details key={m.id} className={styles.message}>
              <summary>
                {day(m.createdAtMs)}: {MESSAGE_WORDS[m.kind]}
                {m.postedAtMs ? ', in the simulated post box' : ''}
              </summary>
              <pre>{m.words}</pre>
            </details>
          ))}
        </section>
      ) : null}
      <section aria-label="History of the card">
        <h2>History of the card</h2>
        {card.edits.length === 0 ? (
          <p className="quiet">Not changed since it was begun.</p>
        ) : (
          <ul className={styles.edits}>
            {card.edits.slice(0, 12).map((e) => (
              <li key={e.seq}>
                <strong>
                  {day(e.atMs)}
                  {e.by ? `, ${e.by}` : ''}
                </strong>{' '}
                {e.changes.map((c) => (
                  <span key={c.field}>
                    {c.field}: <del>{c.from || 'nothing'}</del> → {c.to || 'nothing'}
                  </span>
                ))}
              </li>
            ))}
          </ul>
        )}
      </section>
    </>
  );
}
