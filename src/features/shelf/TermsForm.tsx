'use client';

import { Button, Input, InputNumber, Select } from 'antd';
import { useState } from 'react';
import type { ShelfRow } from '@/server/services/shelf';
import type { NewThing } from '@/server/services/shelfItems';
import type { ShelfActs } from './useShelf';
import { sizeSign } from '@/formats/size';
import { AmountField } from './AmountField';
import styles from './Shelf.module.css';

const NEW = 'new';
const EMPTY: NewThing = {
  ...{ name: '', kind: 'retail', unit: 'piece', pack: 1, deliveryDays: 4, reserve: 0, supplier: '' },
};
/** What is weighed, as the studio reads weights; it is kept in grams. */
const WEIGHED: Readonly<Record<string, string>> = { g: 'grams', oz: 'ounces' };
const UNITS: readonly { readonly value: NewThing['unit']; readonly label: string }[] = [
  { value: 'piece', label: 'pieces' },
  { value: 'pair', label: 'pairs' },
  { value: 'g', label: 'grams' },
  { value: 'ml', label: 'millilitres' },
];

const termsOf = ({ name, pack, deliveryDays, reserve, supplier }: NewThing | ShelfRow) => ({
  ...{ name, pack, deliveryDays, reserve, supplier },
});

/** How a thing is bought and kept; and a thing of the studio's own. */
export function TermsForm({ acts }: { readonly acts: ShelfActs }) {
  const { rows } = acts.shelf;
  const [id, setId] = useState(NEW);
  const [draft, setDraft] = useState<NewThing>(EMPTY);
  const row = rows.find((r) => r.id === id);
  const set = (more: Partial<NewThing>): void => setDraft({ ...draft, ...more });
  const choose = (to: string): void => {
    const chosen = rows.find((r) => r.id === to);
    setId(to);
    setDraft(chosen ? { ...EMPTY, ...termsOf(chosen), unit: chosen.unit } : EMPTY);
  };
  const keep = async (): Promise<void> => {
    const name = draft.name.trim();
    const act = row
      ? { terms: { ...termsOf(draft), name, itemId: row.id, version: row.version } }
      : { thing: { ...draft, name } };
    if (await acts.act(act, row ? `${name}: kept.` : `${name} is on the list: take in what came.`)) choose(NEW);
  };
  const amount = (key: 'pack' | 'reserve', label: string) => (
    <AmountField
      aria-label={label}
      unit={draft.unit}
      min={key === 'pack' ? 1 : 0}
      value={draft[key]}
      onChange={(v) => set({ [key]: v ?? draft[key] })}
      prefix={label}
    />
  );
  return (
    <details>
      <summary>How a thing is bought, another thing</summary>
      <div className={styles.form}>
        <Select
          aria-label="Which thing"
          value={id}
          options={[{ value: NEW, label: 'another thing' }, ...rows.map((r) => ({ value: r.id, label: r.name }))]}
          onChange={choose}
        />
        <Input
          aria-label="Name of the thing"
          placeholder="name"
          maxLength={60}
          value={draft.name}
          onChange={(e) => set({ name: e.target.value })}
        />
        {row ? null : (
          <>
            <Select
              aria-label="What it is for"
              value={draft.kind}
              options={[
                { value: 'retail', label: 'for sale' },
                { value: 'consumable', label: 'used at the table' },
              ]}
              onChange={(kind: NewThing['kind']) => set({ kind })}
            />
            <Select
              aria-label="Counted in"
              value={draft.unit}
              options={UNITS.map((u) => (u.value === 'g' ? { ...u, label: WEIGHED[sizeSign('g')] ?? u.label } : u))}
              onChange={(unit: NewThing['unit']) => set({ unit })}
            />
          </>
        )}
        {amount('pack', 'a pack')}
        <InputNumber
          aria-label="comes in"
          min={0}
          max={120}
          precision={0}
          value={draft.deliveryDays}
          onChange={(v) => set({ deliveryDays: v ?? draft.deliveryDays })}
          prefix="comes in"
          suffix="days"
        />
        {amount('reserve', 'kept')}
        <Input
          aria-label="Supplier"
          placeholder="supplier"
          maxLength={60}
          value={draft.supplier}
          onChange={(e) => set({ supplier: e.target.value })}
        />
        <Button disabled={draft.name.trim() === ''} onClick={() => void keep()}>
          {row ? 'Keep this' : 'Onto the list'}
        </Button>
      </div>
    </details>
  );
}
