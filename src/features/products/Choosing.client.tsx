'use client';

import { withSizes } from '@/formats/size';
import { Button, Checkbox, InputNumber, Radio, Slider } from 'antd';
import { useRef, useState } from 'react';
import {
  COST_PARTS,
  MOST_COUNT,
  SHIPPED_COUNTS,
  SHIPPED_LEFTOVERS,
  SHIPPED_PREFERENCES,
  type CostPart,
  type Preferences,
} from '@/core/matching';
import type { Catalogue } from '@/server/services/catalogue';
import { sendJson } from '@/ui/sendJson';
import { FirstChoice } from './FirstChoice.client';
import styles from './Products.module.css';

export type Choice = Pick<Catalogue, 'counts' | 'preferences' | 'leftovers' | 'firstOf' | 'order'>;
const SHIPPED: Choice = {
  counts: SHIPPED_COUNTS,
  preferences: SHIPPED_PREFERENCES,
  leftovers: SHIPPED_LEFTOVERS,
  firstOf: {},
  order: 'followable',
};

/** Alike but for the order of what is in them. */
const isAlike = (a: object, b: object): boolean => {
  const flat = (o: object): string => JSON.stringify(Object.entries(o).sort(([x], [y]) => x.localeCompare(y)));
  return flat(a) === flat(b);
};

const PART_WORDS: Readonly<Record<CostPart, readonly [string, string]>> = {
  minutes: ['Time', 'every minute of all passes and of tweezing'],
  load: ['What the skin bears', 'up to 8 min for the highest load, more on reactive skin'],
  broken: ['What stays whole', '0.4 min for each 1 % broken, four times that on skin that grows hairs in'],
  left: ['What is left behind', '4 min for each 1 % of the hair'],
  tweezed: ['Tweezing', '3 s more for each hair, beside its own time'],
  material: ['Material', '0.3 min for each 1.00'],
};

const SWITCH_WORDS: readonly (readonly [Exclude<keyof Preferences, 'first' | 'favourites'>, string, string])[] = [
  ['coarseHard', 'Coarse hair: hard wax first', 'coarseness 4 and 5'],
  ['fineSoft', 'Fine hair on a large area: soft wax first', 'coarseness 1 and 2, from 150 cm², calm skin'],
  ['ingrownSugar', 'Skin that grows hairs in: sugar first, never soft wax', ''],
  [
    'reactiveMild',
    'Reactive skin: hard wax or sugar',
    'sensitivity 4; at 5 soft wax is never first, whatever stands here',
  ],
  ['worked', 'What worked well on this client here last time', 'by the reading and by what was felt'],
  ['plainLay', 'The plain lay before the crossed one', 'unless the hair lies flat, crosses or stands in layers'],
];

/** What counts in the choice, what the house would rather use, and how many hairs are tweezed. */
export function Choosing({
  catalogue,
  onAnswer,
}: {
  readonly catalogue: Catalogue;
  readonly onAnswer: (sent: Awaited<ReturnType<typeof sendJson<Catalogue>>>) => void;
}) {
  const [choice, setChoice] = useState<Choice>(catalogue);
  const wanted = useRef<Choice | null>(null);
  const version = useRef(catalogue.studioVersion);
  const busy = useRef(false);
  // one save after the other, each with the version that the last one gave; of quick steps only the latest goes
  const send = async (next: Choice): Promise<void> => {
    setChoice(next);
    wanted.current = next;
    if (busy.current) return;
    busy.current = true;
    while (wanted.current) {
      const { counts, preferences, leftovers, firstOf, order }: Choice = wanted.current;
      wanted.current = null;
      const sent = await sendJson<Catalogue>('PUT', '/api/products/choosing', {
        version: version.current,
        counts,
        preferences,
        leftovers,
        firstOf,
        order,
      });
      if (sent.ok) version.current = sent.value.studioVersion;
      onAnswer(sent);
    }
    busy.current = false;
  };
  const { counts, preferences, leftovers } = choice;
  const isShipped =
    choice.order === SHIPPED.order &&
    (['counts', 'preferences', 'leftovers', 'firstOf'] as const).every((k) => isAlike(choice[k], SHIPPED[k]));
  const hairs = (name: 'faceMax' | 'bodyMax', value: number | null): void => {
    if (value !== null) void send({ ...choice, leftovers: { ...leftovers, [name]: value } });
  };
  return (
    <section className={styles.weighing} aria-label="What counts">
      <div className={styles.line}>
        <h2>What counts when products are compared</h2>
        {isShipped ? null : <Button onClick={() => void send(SHIPPED)}>As shipped</Button>}
      </div>
      <p className="quiet">
        Everything is counted in minutes; the least is chosen. What is left out stays out whatever counts here:
        allergies, the screening, the zone, the label, hair that is too short. 1 × is as shipped.
      </p>
      <div className={styles.weights}>
        {COST_PARTS.map((n) => (
          <label key={n} id={`count-${n}`} className={styles.weight}>
            <span>
              <strong>{PART_WORDS[n][0]}</strong> {counts[n].toFixed(1)} ×<small>{PART_WORDS[n][1]}</small>
            </span>
            <Slider
              min={0}
              max={MOST_COUNT}
              step={0.25}
              value={counts[n]}
              onChange={(f) => setChoice({ ...choice, counts: { ...counts, [n]: f } })}
              onChangeComplete={(f) => void send({ ...choice, counts: { ...counts, [n]: f } })}
              tooltip={{ open: false }}
              ariaLabelledByForHandle={`count-${n}`}
            />
          </label>
        ))}
      </div>
      <h2>What this house would rather use</h2>
      <p className="quiet">
        All together may cost up to a quarter more than the cheapest; beyond that they yield, and the plan says so.
      </p>
      <FirstChoice choice={choice} catalogue={catalogue} onChange={(next) => void send(next)} />
      <div className={styles.switches}>
        {SWITCH_WORDS.map(([name, words, note]) => (
          <Checkbox
            key={name}
            checked={preferences[name]}
            onChange={(e) => void send({ ...choice, preferences: { ...preferences, [name]: e.target.checked } })}
          >
            {words} {note === '' ? null : <small>{withSizes(note)}</small>}
          </Checkbox>
        ))}
      </div>
      <h2>In which order strips are laid</h2>
      <Radio.Group
        aria-label="In which order strips are laid"
        value={choice.order}
        options={[
          { value: 'followable', label: 'one to remember: row by row, every other strip' },
          { value: 'quickest', label: 'the quickest, by the numbers' },
        ]}
        optionType="button"
        onChange={(e) => void send({ ...choice, order: e.target.value as Choice['order'] })}
      />
      <h2>Hairs that strips leave</h2>
      <div className={styles.hairs}>
        <label>
          Tweezed at most, face{' '}
          <InputNumber min={0} max={200} value={leftovers.faceMax} onChange={(v) => hairs('faceMax', v)} />
        </label>
        <label>
          elsewhere <InputNumber min={0} max={200} value={leftovers.bodyMax} onChange={(v) => hairs('bodyMax', v)} />
        </label>
        <Radio.Group
          aria-label="More than that"
          value={leftovers.rest}
          options={[
            { value: 'clean-up', label: 'more: strips once more' },
            { value: 'stay', label: 'more: next time' },
          ]}
          optionType="button"
          onChange={(e) =>
            void send({ ...choice, leftovers: { ...leftovers, rest: e.target.value as 'clean-up' | 'stay' } })
          }
        />
      </div>
    </section>
  );
}
