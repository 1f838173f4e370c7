'use client';

// The lists of a client's card while it is changed: lasting facts, reactions, dates kept free.

import { Button, Checkbox, Input, Select } from 'antd';
import { useState } from 'react';
import { FACT_WORDS, STAYS_ON_CARD, type Fact } from '@/core/screening';
import type { CardReaction, ClientProfile } from '@/server/db/schema';
import type { ClientCard } from '@/server/services/clients';
import { DateField } from '@/ui/DateField.client';
import { REACTION_WORDS } from './cardFields';
import styles from './Clients.module.css';

interface EditorProps {
  readonly profile: ClientProfile;
  readonly onChange: (more: Partial<ClientProfile>) => void;
}

const REACTIONS = Object.entries(REACTION_WORDS).map(([value, label]) => ({
  value: value as CardReaction['what'], // keys of REACTION_WORDS
  label,
}));

export function FactsEditor({ profile, today, onChange }: EditorProps & { readonly today: string }) {
  const { standing } = profile;
  const free = STAYS_ON_CARD.filter((f) => !standing.some((s) => s.fact === f && !s.until));
  const change = (i: number, more: object): void =>
    onChange({ standing: standing.map((f, k) => (k === i ? { ...f, ...more } : f)) });
  return (
    <fieldset className={styles.set}>
      <legend>Medical notes</legend>
      {standing.map((f, i) => (
        <div key={`${f.fact}${i}`} className={styles.row}>
          <strong>{FACT_WORDS[f.fact]}</strong>
          <span className={styles.inlineLabel}>
            since
            <DateField
              aria-label={`Since: ${FACT_WORDS[f.fact]}`}
              placeholder="not known"
              max={today}
              value={f.since}
              onChange={(since) => change(i, { since })}
            />
          </span>
          <span className={styles.inlineLabel}>
            until
            <DateField
              aria-label={`Until: ${FACT_WORDS[f.fact]}`}
              placeholder="no end"
              value={f.until}
              onChange={(until) => change(i, { until })}
            />
          </span>
          <Button
            type="text"
            aria-label={`Remove: ${FACT_WORDS[f.fact]}`}
            onClick={() => onChange({ standing: standing.filter((_, k) => k !== i) })}
          >
            Remove
          </Button>
        </div>
      ))}
      <Select<Fact | null>
        aria-label="Add a medical note"
        placeholder="Add a medical note …"
        showSearch={{ optionFilterProp: 'label' }}
        value={null}
        options={free.map((f) => ({ value: f, label: FACT_WORDS[f] }))}
        onChange={(fact) => fact !== null && onChange({ standing: [...standing, { fact, since: today }] })}
      />
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
          <DateField
            aria-label="Reaction on"
            max={card.today}
            value={r.on}
            onChange={(on) => on !== '' && change(i, { on })}
            className={styles.date}
          />
          <Select
            aria-label="What was seen"
            className={styles.select ?? ''}
            value={r.what}
            options={REACTIONS}
            onChange={(what) => change(i, { what })}
          />
          <Select
            aria-label="Product"
            className={styles.select ?? ''}
            value={r.product ?? ''}
            options={[
              { value: '', label: 'product not known' },
              ...card.products.map((p) => ({ value: p.id, label: p.name })),
            ]}
            onChange={(product) => change(i, { product: product === '' ? null : product })}
          />
          <Input
            aria-label="In words"
            value={r.words}
            maxLength={1000}
            onChange={(e) => change(i, { words: e.target.value })}
          />
          <Button type="text" onClick={() => onChange({ reactions: reactions.filter((_, k) => k !== i) })}>
            Remove
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
          <DateField
            aria-label="First day"
            value={b.from}
            onChange={(from) => change(i, { from })}
            className={styles.date}
          />
          <DateField aria-label="Last day" value={b.to} onChange={(to) => change(i, { to })} className={styles.date} />
          <Input
            aria-label="Why"
            value={b.why}
            maxLength={200}
            placeholder="event, holiday in the sun …"
            onChange={(e) => change(i, { why: e.target.value })}
          />
          <Button type="text" onClick={() => onChange({ blackout: blackout.filter((_, k) => k !== i) })}>
            Remove
          </Button>
        </div>
      ))}
      <Button onClick={() => onChange({ blackout: [...blackout, { from: today, to: today, why: '' }] })}>
        Add dates
      </Button>
    </fieldset>
  );
}

const USUAL_CYCLE = { everyDays: 28, days: 5 } as const;

/**
 * Days of the cycle that the client would rather avoid: a wish that places are scored by, never a rule. It holds from
 * the moment at which the first day is given.
 */
export function AvoidEditor({ profile, today, onChange }: EditorProps & { readonly today: string }) {
  const { avoid } = profile;
  const [open, setOpen] = useState(avoid !== undefined);
  const wish = (isOpen: boolean): void => {
    setOpen(isOpen);
    if (!isOpen) onChange({ avoid: undefined });
  };
  return (
    <fieldset className={styles.set}>
      <legend>Days to avoid</legend>
      <div className={styles.row}>
        <Checkbox checked={open} onChange={(e) => wish(e.target.checked)}>
          Would rather not come on some days of the cycle
        </Checkbox>
      </div>
      {open ? (
        <div className={styles.row}>
          <DateField
            aria-label="First of those days, last time"
            placeholder="its first day"
            value={avoid?.firstOn ?? ''}
            max={today}
            className={styles.date}
            onChange={(firstOn) =>
              onChange({ avoid: firstOn === '' ? undefined : { ...USUAL_CYCLE, ...avoid, firstOn } })
            }
          />
          {avoid ? (
            <>
              <Select
                aria-label="For how many days"
                value={avoid.days}
                onChange={(days: number) => onChange({ avoid: { ...avoid, days } })}
                options={[2, 3, 4, 5, 6, 7, 8, 10].map((d) => ({ value: d, label: `for ${d} days` }))}
              />
              <Select
                aria-label="Every how many days"
                value={avoid.everyDays}
                onChange={(everyDays: number) => onChange({ avoid: { ...avoid, everyDays } })}
                options={Array.from({ length: 20 }, (_, i) => ({ value: 21 + i, label: `every ${21 + i} days` }))}
              />
            </>
          ) : null}
        </div>
      ) : null}
    </fieldset>
  );
}
