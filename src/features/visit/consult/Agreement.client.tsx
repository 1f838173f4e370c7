'use client';

import { Checkbox, Input, Radio } from 'antd';
import { useState } from 'react';
import { howMuchFor } from '@/core/agreement';
import type { Agreed } from '@/server/db/schema';
import type { BenchZone } from '@/server/services/bench';
import { sideWord } from '@/ui/words';
import { choiceOf, withChoice } from '../agreed';
import { bothWords, capital } from '../zoneNames';
import styles from './Consult.module.css';

const COMPANY: readonly (readonly [Agreed['company'], string])[] = [
  ['either', 'Either'],
  ['talk', 'Talk'],
  ['quiet', 'Quiet'],
];

interface Props {
  readonly agreed: Agreed;
  readonly zones: readonly BenchZone[];
  readonly disabled: boolean;
  readonly onChange: (agreed: Agreed) => void;
}

/** What comes off and how much, in plain words, and what makes it bearable. */
export function Agreement({ agreed, zones, disabled, onChange }: Props) {
  const [words, setWords] = useState(agreed.words);
  // the two sides are agreed together: one asks about brows, not about each brow
  const pairs = zones.filter((z, i) => zones.findIndex((o) => o.zone === z.zone) === i);
  return (
    <>
      {pairs.map((z) => {
        const choices = howMuchFor(z.zone);
        const chosen = choices.find((c) => c.id === choiceOf(agreed, z)) ?? choices[0];
        const both = zones.filter((o) => o.zone === z.zone).length > 1;
        return (
          <div key={z.zone} className={styles.howMuch}>
            <strong>{both ? capital(bothWords(z.name)) : sideWord(z.name, z.side)}</strong>
            {choices.length > 1 ? (
              <Radio.Group
                aria-label={`How much: ${z.name}`}
                optionType="button"
                disabled={disabled}
                options={choices.map((c) => ({ value: c.id, label: c.label }))}
                value={chosen?.id}
                onChange={(e) => onChange(withChoice(agreed, zones, z.zone, e.target.value as string))}
              />
            ) : null}
            <span className="quiet">{chosen?.says}</span>
          </div>
        );
      })}
      <div className={styles.comfort}>
        <Radio.Group
          aria-label="Talk or quiet"
          optionType="button"
          disabled={disabled}
          options={COMPANY.map(([id, word]) => ({ value: id, label: word }))}
          value={agreed.company}
          onChange={(e) => onChange({ ...agreed, company: e.target.value as typeof agreed.company })}
        />
        <Checkbox
          checked={agreed.coldPack}
          disabled={disabled}
          onChange={(e) => onChange({ ...agreed, coldPack: e.target.checked })}
        >
          Cold pack, 5–10 min before
        </Checkbox>
        <Checkbox
          checked={agreed.tweezing}
          disabled={disabled}
          onChange={(e) => onChange({ ...agreed, tweezing: e.target.checked })}
        >
          Tweezing allowed
        </Checkbox>
      </div>
      <Input.TextArea
        aria-label="What was agreed"
        value={words}
        rows={2}
        maxLength={2000}
        disabled={disabled}
        placeholder="Anything else agreed"
        onChange={(e) => setWords(e.target.value)}
        onBlur={() => words !== agreed.words && onChange({ ...agreed, words })}
      />
    </>
  );
}
