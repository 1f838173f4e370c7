'use client';

import { zoneKey } from '@/core/anatomy';
import { Select } from 'antd';
import { addDays } from '@/core/shared';
import { FACT_WORDS, NEEDS_CLEARANCE, type Clearance, type Fact, type FoundFact } from '@/core/screening';
import type { BenchZone } from '@/server/services/bench';
import { dayMonth, sideWord } from '@/ui/words';
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
  readonly found: FoundFact;
  readonly zones: readonly BenchZone[];
  readonly on: string;
  readonly disabled: boolean;
  readonly onChange: (found: FoundFact) => void;
}

/** True where a yes asks more: when, where, or whether the doctor agrees. */
export const hasDetail = (fact: Fact, zones: number): boolean =>
  DATED.includes(fact) || NEEDS_CLEARANCE.has(fact) || (LOCAL.includes(fact) && (zones > 1 || OF_LIMBS.includes(fact)));

function whenWords(lastOn: string | undefined, on: string): string {
  if (lastOn === undefined) return '';
  return lastOn === on ? 'today' : dayMonth(lastOn);
}

/** When, where and whether cleared, in a few words. */
export function detailWords(f: FoundFact, zones: readonly BenchZone[], on: string): string {
  const where = (f.zones ?? []).map((key) => {
    const zone = zones.find((z) => zoneKey(z) === key);
    return zone ? sideWord(zone.name, zone.side).toLowerCase() : (LIMBS.find((l) => l.value === key)?.label ?? '');
  });
  return [
    where.length > 2 ? `${where.length} places` : where.filter(Boolean).join(', '),
    whenWords(f.lastOn, on),
    f.clearance ? 'cleared by the doctor' : '',
  ]
    .filter(Boolean)
    .join(', ');
}

/** When it was, where, and whether a doctor has agreed, as far as that can change the answer. */
export function FactDetail({ found: f, zones, on, disabled, onChange }: Props) {
  return (
    <div className={styles.detail}>
      {DATED.includes(f.fact) ? (
        <span className={styles.when}>
          last{' '}
          <DateField
            aria-label={`${FACT_WORDS[f.fact]}: last on`}
            max={on}
            value={f.lastOn ?? on}
            disabled={disabled ?? false}
            onChange={(lastOn) => lastOn !== '' && lastOn <= on && onChange({ ...f, lastOn })}
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
              onClick={() => onChange({ ...f, lastOn: addDays(on, -days) })}
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
          onChange={(value: string[]) => onChange(saying(f, { zones: value }))}
        />
      ) : null}
      {NEEDS_CLEARANCE.has(f.fact) ? (
        <ClearanceField
          what={FACT_WORDS[f.fact]}
          clearance={f.clearance}
          on={on}
          disabled={disabled}
          onChange={(clearance) => onChange(saying(f, { clearance }))}
        />
      ) : null}
    </div>
  );
}
