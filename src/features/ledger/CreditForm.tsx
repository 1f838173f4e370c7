'use client';

import { Button, Input, InputNumber, Select } from 'antd';
import { useState } from 'react';
import type { CreditKind } from '@/core/ledger';
import { moneyIn } from '@/ui/money';
import { useFoundClients } from '@/ui/useFoundClients';
import { KIND_WORDS, MONEY_WAYS, PAID_WORDS } from './ledgerWords';
import type { LedgerActs } from './useLedgerDay';
import styles from './Ledger.module.css';

const KINDS: readonly CreditKind[] = ['gift', 'package', 'deposit'];

interface Draft {
  readonly kind: CreditKind;
  readonly clientId: string | null;
  readonly amountMinor: number | null;
  readonly uses: number | null;
  readonly item: string | null;
  readonly words: string;
}
const EMPTY: Draft = { kind: 'gift', clientId: null, amountMinor: null, uses: null, item: null, words: '' };

/** A gift, a package of visits or a deposit: money that is not earned yet. */
export function CreditForm({ acts }: { readonly acts: LedgerActs }) {
  const { currency, services } = acts.day;
  const money = moneyIn(currency);
  const [draft, setDraft] = useState(EMPTY);
  const [found, find] = useFoundClients();
  const set = (more: Partial<Draft>): void => setDraft({ ...draft, ...more });
  const { kind, clientId, amountMinor, uses, item } = draft;
  const open = [
    amountMinor === null || amountMinor === 0 ? 'how much' : '',
    kind !== 'gift' && clientId === null ? 'whose' : '',
    kind === 'package' && uses === null ? 'how many visits' : '',
  ].filter(Boolean);
  const sell = async (paid: (typeof MONEY_WAYS)[number]): Promise<void> => {
    const sold = { ...draft, amountMinor: amountMinor ?? 0, uses: uses ?? 0, words: draft.words.trim(), paid };
    const name = KIND_WORDS[kind];
    if (await acts.act({ credit: sold }, `${name} of ${money.say(sold.amountMinor)}: entered.`)) setDraft(EMPTY);
  };
  return (
    <details>
      <summary>Sell a gift, package or deposit</summary>
      <div className={styles.form}>
        <div className={styles.ways}>
          {KINDS.map((k) => (
            <Button key={k} aria-pressed={k === kind} onClick={() => set({ kind: k, uses: null, item: null })}>
              {KIND_WORDS[k]}
            </Button>
          ))}
        </div>
        <Select
          aria-label="Whose it is"
          allowClear
          showSearch
          filterOption={false}
          onSearch={find}
          value={clientId}
          placeholder={kind === 'gift' ? 'whoever brings it, or a client' : 'whose it is'}
          onChange={(id: string | undefined) => set({ clientId: id ?? null })}
          options={found.map((f) => ({ value: f.id, label: f.name }))}
        />
        <InputNumber
          aria-label="How much it is sold for"
          min={0}
          max={100_000}
          precision={money.digits}
          value={money.typed(amountMinor)}
          placeholder="how much"
          onChange={(v) => set({ amountMinor: money.minorOf(v) })}
          suffix={currency}
        />
        {kind === 'package' ? (
          <>
            <InputNumber
              aria-label="For how many visits"
              min={1}
              max={100}
              precision={0}
              value={uses}
              placeholder="how many visits"
              onChange={(v) => set({ uses: v })}
              suffix="visits"
            />
            <Select
              aria-label="Of which service"
              allowClear
              value={item}
              placeholder="of any service"
              onChange={(id: string | undefined) => set({ item: id ?? null })}
              options={services.map((s) => ({ value: s.id, label: s.name }))}
            />
          </>
        ) : null}
        <Input
          aria-label="A word on it"
          placeholder="a word on it, as on the card"
          maxLength={120}
          value={draft.words}
          onChange={(e) => set({ words: e.target.value })}
        />
        {open.length > 0 ? <p className="quiet">Still open: {open.join(', ')}.</p> : null}
        <div className={styles.ways}>
          {MONEY_WAYS.map((paid) => (
            <Button key={paid} disabled={open.length > 0} onClick={() => void sell(paid)}>
              {PAID_WORDS[paid]}
            </Button>
          ))}
        </div>
      </div>
    </details>
  );
}
