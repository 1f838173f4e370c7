'use client';

import { Button, InputNumber, Popconfirm } from 'antd';
import { useState } from 'react';
import { isCredit } from '@/core/ledger';
import type { LedgerLine } from '@/server/services/ledgerDay';
import { moneyIn } from '@/ui/money';
import { KIND_WORDS, MONEY_WAYS, PAID_WORDS } from './ledgerWords';
import type { LedgerActs } from './useLedgerDay';
import styles from './Ledger.module.css';

const ACT_WORDS = { taken: '', refund: 'Given back:', undone: 'Undone:' } as const;
/** What a line is about, in words. */
const aboutLine = (l: LedgerLine): string =>
  [ACT_WORDS[l.act], l.itemName || KIND_WORDS[l.kind], l.clientName].filter(Boolean).join(' ');

const isOver = (l: LedgerLine): boolean => l.isUndone || l.isUndoneLater;

/** The lines of a day: how each was paid, undone where it was wrong, given back where it was right. */
export function DayLines({ acts }: { readonly acts: LedgerActs }) {
  const { lines, currency } = acts.day;
  const money = moneyIn(currency);
  const [back, setBack] = useState<string | null>(null);
  if (lines.length === 0) return <p className={styles.none}>No line on this day yet.</p>;
  return (
    <div className={styles.wide}>
      <table className={styles.table}>
        <thead>
          <tr>
            <th>What</th>
            <th>By</th>
            <th>Paid</th>
            <th className={styles.amount}>Amount</th>
            <th>
              <span className="visually-hidden">Acts</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {lines.map((l) => (
            <tr key={l.id} data-undone={l.isUndone}>
              <td>
                {aboutLine(l)}
                {l.words === '' ? null : <small className="quiet"> {l.words}</small>}
              </td>
              <td>{l.personName}</td>
              <td>
                {l.paid === null && !isOver(l) && l.act === 'taken' ? (
                  <span className={styles.ways}>
                    {MONEY_WAYS.map((paid) => (
                      <Button
                        key={paid}
                        size="small"
                        onClick={() => void acts.act({ say: { entryId: l.id, paid } }, `${aboutLine(l)}: ${paid}.`)}
                      >
                        {PAID_WORDS[paid]}
                      </Button>
                    ))}
                  </span>
                ) : (
                  (l.paid && PAID_WORDS[l.paid]) || 'not said'
                )}
              </td>
              <td className={styles.amount}>{money.say(l.amountMinor)}</td>
              <td className={styles.amount}>
                {l.isUndoneLater ? <span className="quiet">undone on a later day</span> : null}
                {isOver(l) || l.act === 'undone' ? null : (
                  <Popconfirm
                    title="Take this line back? It stays in the book, with one that undoes it."
                    okText="Undo it"
                    cancelText="Leave it"
                    onConfirm={() => void acts.act({ undo: { entryId: l.id } }, `${aboutLine(l)}: undone.`)}
                  >
                    <Button type="text" aria-label={`Undo ${aboutLine(l)}`}>
                      Undo
                    </Button>
                  </Popconfirm>
                )}
                {isOver(l) ||
                l.act !== 'taken' ||
                l.paid === 'credit' ||
                l.paid === null ||
                l.amountMinor === 0 ? null : (
                  <Button
                    type="text"
                    aria-expanded={back === l.id}
                    aria-label={`Give back ${aboutLine(l)}`}
                    onClick={() => setBack(back === l.id ? null : l.id)}
                  >
                    Give back
                  </Button>
                )}
                {back === l.id ? <GiveBack line={l} acts={acts} onDone={() => setBack(null)} /> : null}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

interface BackProps {
  readonly line: LedgerLine;
  readonly acts: LedgerActs;
  readonly onDone: () => void;
}

/** Money given back: how much and how. Of a credit what is left in it. */
function GiveBack({ line, acts, onDone }: BackProps) {
  const money = moneyIn(acts.day.currency);
  const left = isCredit(line.kind) ? acts.day.credits.find((c) => c.id === line.id)?.leftMinor : line.amountMinor;
  const [minor, setMinor] = useState<number | null>(left ?? line.amountMinor);
  return (
    <div className={styles.form}>
      <InputNumber
        aria-label="How much is given back"
        min={0}
        precision={money.digits}
        value={money.typed(minor)}
        onChange={(v) => setMinor(money.minorOf(v))}
        suffix={acts.day.currency}
      />
      <span className={styles.ways}>
        {MONEY_WAYS.map((paid) => (
          <Button
            key={paid}
            disabled={minor === null || minor === 0}
            onClick={() =>
              void acts
                .act(
                  { refund: { entryId: line.id, amountMinor: minor ?? 0, paid, words: '' } },
                  `${money.say(minor ?? 0)} given back, ${paid}.`,
                )
                .then((isDone) => {
                  if (isDone) onDone();
                })
            }
          >
            {PAID_WORDS[paid]}
          </Button>
        ))}
      </span>
    </div>
  );
}
