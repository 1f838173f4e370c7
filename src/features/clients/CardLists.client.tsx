'use client';

// The lists of a client's card while it is changed: lasting facts, reactions, dates kept free.

import { Button, Input } from 'antd';
import { FACT_WORDS, STAYS_ON_CARD, type Fact } from '@/core/screening';
import type { CardReaction, ClientProfile } from '@/server/db/schema';
import type { ClientCard } from '@/server/services/clients';
import { REACTION_WORDS } from './cardFields';
import styles from './Clients.module.css';

interface EditorProps {
  readonly profile: ClientProfile;
  readonly onChange: (more: Partial<ClientProfile>) => void;
}

export function FactsEditor({ profile, today, onChange }: EditorProps & { readonly today: string }) {
  const { standing } = profile;
  const free = STAYS_ON_CARD.filter((f) => !standing.some((s) => s.fact === f && !s.until));
  const change = (i: number, more: object): void =>
    onChange({ standing: standing.map((f, k) => (k === i ? { ...f, ...more } : f)) });
  return (
    <fieldset className={styles.set}>
      <legend>Lasting facts</legend>
      {standing.map((f, i) => (
        <div key={`${f.fact}${i}`} className={styles.row}>
          <strong>{FACT_WORDS[f.fact]}</strong>
          <label className={styles.inlineLabel}>
            since
            <Input
              type="date"
              max={today}
              value={f.since ?? ''}
              onChange={(e) => change(i, { since: e.target.value })}
            />
          </label>
          <label className={styles.inlineLabel}>
            until
            <Input type="date" value={f.until ?? ''} onChange={(e) => change(i, { until: e.target.value })} />
          </label>
          <Button
            type="text"
            aria-label={`Take off: ${FACT_WORDS[f.fact]}`}
            onClick={() => onChange({ standing: standing.filter((_, k) => k !== i) })}
          >
            Take off
          </Button>
        </div>
      ))}
      <select
        className={styles.select}
        aria-label="Add a lasting fact"
        value=""
        onChange={(e) =>
          e.target.value !== '' && onChange({ standing: [...standing, { fact: e.target.value as Fact, since: today }] })
        }
      >
        <option value="">Add a lasting fact …</option>
        {free.map((f) => (
          <option key={f} value={f}>
            {FACT_WORDS[f]}
          </option>
        ))}
      </select>
    </fieldset>
  );
}

export function ReactionsEditor({ profile, card, onChange }: EditorProps & { readonly card: ClientCard }) {
  const { reactions } = profile;
  const change = (i: number, more: Partial<CardReaction>): void =>
    onChange({ reactions: reactions.map((r, k) => (k === i ? { ...r, ...more } : r)) });
  return (
    <fieldset className={styles.set}>
      <legend>Reactions</legend>
      {reactions.map((r, i) => (
        <div key={r.id} className={styles.row}>
          <Input
            type="date"
            aria-label="Reaction on"
            max={card.today}
            value={r.on}
            onChange={(e) => e.target.value !== '' && change(i, { on: e.target.value })}
            className={styles.date ?? ''}
          />
          <select
            className={styles.select}
            aria-label="What was seen"
            value={r.what}
            onChange={(e) => change(i, { what: e.target.value as CardReaction['what'] })}
          >
            {Object.entries(REACTION_WORDS).map(([id, word]) => (
              <option key={id} value={id}>
                {word}
              </option>
            ))}
          </select>
          <select
            className={styles.select}
            aria-label="Product"
            value={r.product ?? ''}
            onChange={(e) => change(i, { product: e.target.value === '' ? null : e.target.value })}
          >
            <option value="">product not known</option>
            {card.products.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </select>
          <Input
            aria-label="In words"
            value={r.words}
            maxLength={1000}
            onChange={(e) => change(i, { words: e.target.value })}
          />
          <Button type="text" onClick={() => onChange({ reactions: reactions.filter((_, k) => k !== i) })}>
            Take off
          </Button>
        </div>
      ))}
      <Button
        onClick={() =>
          onChange({
            reactions: [
              ...reactions,
              { id: crypto.randomUUID(), on: card.today, what: 'redness', product: null, words: '' },
            ],
          })
        }
      >
        Add a reaction
      </Button>
      {reactions.some((r) => r.product !== null) ? (
        <p className="quiet">A product named here is left out of every plan for this client.</p>
      ) : null}
    </fieldset>
  );
}

export function BlackoutEditor({ profile, today, onChange }: EditorProps & { readonly today: string }) {
  const { blackout } = profile;
  const change = (i: number, more: object): void =>
    onChange({ blackout: blackout.map((b, k) => (k === i ? { ...b, ...more } : b)) });
  return (
    <fieldset className={styles.set}>
      <legend>Dates kept free</legend>
      {blackout.map((b, i) => (
        <div key={i} className={styles.row}>
          <Input
            type="date"
            aria-label="First day"
            value={b.from}
            onChange={(e) => change(i, { from: e.target.value })}
            className={styles.date ?? ''}
          />
          <Input
            type="date"
            aria-label="Last day"
            value={b.to}
            onChange={(e) => change(i, { to: e.target.value })}
            className={styles.date ?? ''}
          />
          <Input
            aria-label="Why"
            value={b.why}
            maxLength={200}
            placeholder="event, holiday in the sun …"
            onChange={(e) => change(i, { why: e.target.value })}
          />
          <Button type="text" onClick={() => onChange({ blackout: blackout.filter((_, k) => k !== i) })}>
            Take off
          </Button>
        </div>
      ))}
      <Button onClick={() => onChange({ blackout: [...blackout, { from: today, to: today, why: '' }] })}>
        Add dates
      </Button>
    </fieldset>
  );
}
