'use client';

import { zoneKey } from '@/core/anatomy';
import { Select } from 'antd';
import { addDays } from '@/core/shared';
import { FACT_WORDS, NEEDS_CLEARANCE, type Clearance, type Fact, type FoundFact } from '@/core/screening';
import type { BenchZone } from '@/server/services/bench';
import { sideWord } from '@/ui/words';
import { DateField } from '@/ui/DateField.client';
import { ClearanceField } from './ClearanceField.client';
import styles from './Consult.module.css';

/** Facts for which it matters how long ago. */
const DATED: readonly Fact[] = [
  'acid-exfoliant',
  'physical-exfoliant',
  'retinoid-topical',
  'retinoid-oral',
  'sunburn',
  'broken-skin',
  'rash',
  'infection',
  'cold-sore',
  'recent-resurfacing',
  'injectable',
  'permanent-makeup',
  'surgery',
];
const LOCAL: readonly Fact[] = [
  'acid-exfoliant',
  'physical-exfoliant',
  'retinoid-topical',
  'sunburn',
  'broken-skin',
  'rash',
  'infection',
  'recent-resurfacing',
  'injectable',
  'permanent-makeup',
  'surgery',
  'numb-skin',
  'numbing-cream',
  'shaved',
  'lymph',
  'vein-thrombosis',
];
/** A limb concerned need not be among today's zones. */
const LIMBS: readonly { readonly value: string; readonly label: string }[] = [
  { value: 'underarm/left', label: 'Left arm' },
  { value: 'underarm/right', label: 'Right arm' },
  { value: 'thigh-front/left', label: 'Left leg and groin' },
  { value: 'thigh-front/right', label: 'Right leg and groin' },
];
const OF_LIMBS: readonly Fact[] = ['lymph', 'vein-thrombosis'];

/** The fact with one part said or, where nothing is said any more, without it. */
function saying(
  found: FoundFact,
  part: { readonly zones?: readonly string[]; readonly clearance?: Clearance | null },
): FoundFact {
  const { fact, lastOn } = found;
  const { zones = found.zones, clearance = found.clearance } = part;
  return {
    fact,
    ...(lastOn === undefined ? {} : { lastOn }),
    ...(zones && zones.length > 0 ? { zones } : {}),
    ...(clearance ? { clearance } : {}),
  };
}

/** A fact as it is first ticked: today, where the day matters. */
export const startingFact = (fact: Fact, on: string): FoundFact => ({
  fact,
  ...(DATED.includes(fact) ? { lastOn: on } : {}),
});

interface Props {
  readonly asked: readonly Fact[];
  readonly facts: readonly Fact[];
  readonly found: readonly FoundFact[];
  readonly zones: readonly BenchZone[];
  readonly on: string;
  readonly disabled: boolean;
  readonly onChange: (fact: Fact, found: FoundFact | null) => void;
}

/** One large chip a question; a ticked one asks when and where, if that can change the answer. */
export function FactChips({ facts, asked, found, zones, on, disabled, onChange }: Props) {
  const ticked = facts.flatMap((fact) => found.filter((f) => f.fact === fact));
  return (
    <>
      <div className={styles.chips}>
        {facts.map((fact) => {
          const isOn = found.some((f) => f.fact === fact);
          return (
            <button
              key={fact}
              type="button"
              className={styles.chip}
              aria-pressed={isOn}
              disabled={disabled}
              data-asked={asked.includes(fact) && !isOn}
              onClick={() => onChange(fact, isOn ? null : startingFact(fact, on))}
            >
              {FACT_WORDS[fact]}
              {asked.includes(fact) && !isOn ? <small> no</small> : null}
            </button>
          );
        })}
      </div>
      {ticked
        .filter((f) => DATED.includes(f.fact) || LOCAL.includes(f.fact) || NEEDS_CLEARANCE.has(f.fact))
        .map((f) => (
          <div key={f.fact} className={styles.detail}>
            <strong>{FACT_WORDS[f.fact]}</strong>
            {DATED.includes(f.fact) ? (
              <span className={styles.when}>
                last on{' '}
                <DateField
                  aria-label={`${FACT_WORDS[f.fact]}: last on`}
                  max={on}
                  value={f.lastOn ?? on}
                  disabled={disabled ?? false}
                  onChange={(lastOn) => lastOn !== '' && lastOn <= on && onChange(f.fact, { ...f, lastOn })}
                />
                {(
                  [
                    ['today', 0],
                    ['3 days ago', 3],
                    ['a week ago', 7],
                    ['a month ago', 30],
                  ] as const
                ).map(([word, days]) => (
                  <button
                    key={word}
                    type="button"
                    className={styles.quick}
                    disabled={disabled}
                    aria-pressed={f.lastOn === addDays(on, -days)}
                    onClick={() => onChange(f.fact, { ...f, lastOn: addDays(on, -days) })}
                  >
                    {word}
                  </button>
                ))}
              </span>
            ) : null}
            {LOCAL.includes(f.fact) && (zones.length > 1 || OF_LIMBS.includes(f.fact)) ? (
              <Select
                mode="multiple"
                allowClear
                className={styles.where ?? ''}
                placeholder={OF_LIMBS.includes(f.fact) ? 'which limb: not said' : 'everywhere'}
                aria-label={`${FACT_WORDS[f.fact]}: where`}
                value={[...(f.zones ?? [])]}
                disabled={disabled}
                options={
                  OF_LIMBS.includes(f.fact)
                    ? [...LIMBS]
                    : zones.map((z) => ({ value: zoneKey(z), label: sideWord(z.name, z.side) }))
                }
                onChange={(value: string[]) => onChange(f.fact, saying(f, { zones: value }))}
              />
            ) : null}
            {NEEDS_CLEARANCE.has(f.fact) ? (
              <ClearanceField
                what={FACT_WORDS[f.fact]}
                clearance={f.clearance}
                on={on}
                disabled={disabled}
                onChange={(clearance) => onChange(f.fact, saying(f, { clearance }))}
              />
            ) : null}
          </div>
        ))}
    </>
  );
}
