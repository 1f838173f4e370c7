'use client';

import { Button, Input, Select } from 'antd';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import type { Keeping } from '@/server/services/keeping';
import { getJson, notTaken, sendJson } from '@/ui/sendJson';
import { dayMonthYear, plural } from '@/ui/words';
import { Said } from './Said';
import { StudioAsFile } from './StudioAsFile.client';
import styles from './Studio.module.css';

type Told = { readonly text: string; readonly bad: boolean } | null;

const NEVER = 0;
const CARD_YEARS = [2, 3, 5, 7, 10, 15];
const MESSAGE_MONTHS = [3, 6, 12, 24, 36];
const options = (terms: readonly number[], unit: string) => [
  { value: NEVER, label: 'for good' },
  ...terms.map((value) => ({ value, label: plural(value, unit) })),
];

/** For how long what is no longer needed is kept, and the whole studio as one file. */
export function KeepingView({ first, isEmpty }: { readonly first: Keeping; readonly isEmpty: boolean }) {
  const [all, setAll] = useState(first);
  const [said, setSaid] = useState<Told>(null);
  const { keeping } = all;
  const put = async (more: Partial<Keeping['keeping']>): Promise<void> => {
    const body = { version: all.version, ...keeping, ...more };
    const sent = await sendJson<Keeping>('PUT', '/api/studio/keeping', body);
    if (sent.ok) setAll(sent.value);
    setSaid(sent.ok ? { text: 'Kept.', bad: false } : { text: notTaken(sent.error), bad: true });
  };
  return (
    <section className={styles.page}>
      <h1>Keeping and moving</h1>
      <Said said={said} />
      <section aria-label="Terms" className={styles.text}>
        <h2>For how long</h2>
        <p className="quiet">
          The law of your place says how long you must keep and how long you may. Money stays in the ledger whatever is
          set here.
        </p>
        <label className={styles.price}>
          <span>
            Cards of people who no longer come
            <small className="quiet">named here after it, erased when you say so</small>
          </span>
          <Select
            aria-label="Cards are kept"
            value={keeping.cardYears ?? NEVER}
            options={options(CARD_YEARS, 'year')}
            onChange={(years) => void put({ cardYears: years === NEVER ? null : years })}
          />
        </label>
        <label className={styles.price}>
          <span>
            Messages in the post box<small className="quiet">go by themselves after it</small>
          </span>
          <Select
            aria-label="Messages are kept"
            value={keeping.messageMonths ?? NEVER}
            options={options(MESSAGE_MONTHS, 'month')}
            onChange={(months) => void put({ messageMonths: months === NEVER ? null : months })}
          />
        </label>
      </section>
      {keeping.cardYears === null ? null : <Due all={all} onDone={setAll} onSaid={setSaid} />}
      <StudioAsFile isEmpty={isEmpty} onSaid={setSaid} />
    </section>
  );
}

interface DueProps {
  readonly all: Keeping;
  readonly onDone: (all: Keeping) => void;
  readonly onSaid: (said: Told) => void;
}

/** Cards that are past their term, and the act that erases them; their number is typed. */
function Due({ all, onDone, onSaid }: DueProps) {
  const [typed, setTyped] = useState('');
  const [busy, setBusy] = useState(false);
  const { due, count } = all;
  const erase = async (): Promise<void> => {
    setBusy(true);
    const body = { ids: due.map((d) => d.id), count: Number(typed) };
    const sent = await sendJson<{ readonly erased: number }>('POST', '/api/studio/keeping/due', body);
    setBusy(false);
    setTyped('');
    if (!sent.ok) return onSaid({ text: notTaken(sent.error), bad: true });
    // one at whose table something is under way stays: what is left is asked, not reckoned
    const left = await getJson<Keeping>('/api/studio/keeping');
    if (left.ok) onDone(left.value);
    onSaid({ text: `${plural(sent.value.erased, 'card')} erased.`, bad: false });
  };
  return (
    <section aria-label="Past their term" className={styles.text}>
      <h2>Past their term</h2>
      {count === 0 ? (
        <p className="quiet">Nobody: everybody here has come within it.</p>
      ) : (
        <>
          <p className="quiet">
            {plural(count, 'card')}
            {count > due.length ? `, the first ${due.length} here` : ''}. Signed consents go with them: set a term no
            shorter than the law wants those kept.
          </p>
          <ul className={styles.dueList}>
            {due.map((d) => (
              <li key={d.id}>
                <Link href={`/clients/${d.id}`}>{d.name}</Link>{' '}
                <span className="quiet">last here {dayMonthYear(d.lastOn)}</span>
              </li>
            ))}
          </ul>
          <div className={styles.weekday}>
            <Input
              aria-label="How many cards"
              placeholder={`type ${due.length} to go on`}
              value={typed}
              maxLength={4}
              onChange={(e) => setTyped(e.target.value)}
            />
            <Button danger disabled={typed.trim() !== String(due.length)} loading={busy} onClick={() => void erase()}>
              Erase {plural(due.length, 'card')} for good
            </Button>
          </div>
        </>
      )}
    </section>
  );
}
