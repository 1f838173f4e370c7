'use client';

import { Button, Input, Modal } from 'antd';
import { useState } from 'react';
import { checkRuleChange, isLoosening, RULES, COMBINATIONS, type Outcome, type RuleChange } from '@/core/screening';
import type { RulesPage } from '@/server/services/consultRules';
import { sendJson } from '@/ui/sendJson';
import { dayMonthYear, plural } from '@/ui/words';
import styles from './Rules.module.css';

type Row = RulesPage['rows'][number];
const GROUPS: readonly (readonly [Row['group'], string, string])[] = [
  ['person', 'The person and the consent', 'Never loosened.'],
  ['fact', 'One fact', 'The strictest that applies to a zone wins; all reasons are listed.'],
  ['together', 'Facts together', 'They only make the answer stricter.'],
  ['spot', 'Spots', 'Worked around: the strips keep clear, the zone goes on.'],
  ['fixed', 'What never changes', ''],
];
const GROUNDS = { practice: 'common practice', memory: 'from memory', published: 'published' } as const;
const OUTCOMES: readonly Outcome[] = ['go', 'adapt', 'postpone', 'decline'];

/** Every rule that judges a visit, from the data that judge it; printed as it stands. */
export function RulesView({ first }: { readonly first: RulesPage }) {
  const [page, setPage] = useState(first);
  const [query, setQuery] = useState('');
  const [editing, setEditing] = useState<Row | null>(null);
  const words = query.toLowerCase().split(/\s+/).filter(Boolean);
  const shown = page.rows.filter((r) =>
    words.every((w) => `${r.when} ${r.text} ${r.outcome} ${r.code}`.toLowerCase().includes(w)),
  );
  return (
    <section className={styles.page}>
      <div className={styles.head}>
        <div>
          <h1>Rules of the consultation</h1>
          <p className="quiet">
            Set {page.name}: {plural(page.rows.length, 'rule')}
            {page.changes.length > 0 ? `, ${plural(page.changes.length, 'change')} by this studio` : ', as shipped'}. A
            visit keeps the set it was judged by. The product’s label, local law and the licence come first.
          </p>
        </div>
        <Button onClick={() => window.print()}>Print</Button>
      </div>
      <Input
        className={styles.search ?? ''}
        size="large"
        allowClear
        value={query}
        maxLength={80}
        onChange={(e) => setQuery(e.target.value)}
        placeholder="Find a rule: acid, thinner, postpone …"
        aria-label="Find a rule"
      />
      {shown.length === 0 ? <p>No rule says that. Fewer letters find more.</p> : null}
      {GROUPS.map(([group, title, note]) => {
        const rows = shown.filter((r) => r.group === group);
        return rows.length === 0 ? null : (
          <section key={group} aria-label={title}>
            <h2>{title}</h2>
            {note === '' ? null : <p className="quiet">{note}</p>}
            <table className={styles.table}>
              <thead>
                <tr>
                  <th>Found</th>
                  <th>Answer</th>
                  <th>Waits</th>
                  <th>To the practitioner, to the client</th>
                  <th>Grounds</th>
                </tr>
              </thead>
              <tbody>
                {rows.map((r) => (
                  <RuleRow
                    key={r.code}
                    row={r}
                    onEdit={r.group === 'fact' || r.group === 'together' ? () => setEditing(r) : null}
                  />
                ))}
              </tbody>
            </table>
          </section>
        );
      })}
      {page.changes.length > 0 ? (
        <section className={styles.changes} aria-label="Changes by this studio">
          <h2>Changes by this studio</h2>
          <ul>
            {page.changes.map((c) => (
              <li key={c.seq}>
                <strong>{c.code}</strong>:{' '}
                {[c.outcome, c.waitDays === null ? '' : `${c.waitDays} days`].filter(Boolean).join(', ')}. {c.reason}{' '}
                <span className="quiet">
                  {dayMonthYear(c.on)}
                  {c.by ? `, ${c.by}` : ''}
                </span>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
      {editing ? (
        <ChangeRule
          row={editing}
          onClose={() => setEditing(null)}
          onDone={(next) => {
            setPage(next);
            setEditing(null);
          }}
        />
      ) : null}
    </section>
  );
}

function RuleRow({ row, onEdit }: { readonly row: Row; readonly onEdit: (() => void) | null }) {
  return (
    <tr data-outcome={row.outcome}>
      <td>
        <strong>{row.when}</strong>
        <span className="quiet">
          {row.scope}
          {row.also ? ` · ${row.also}` : ''}
        </span>
      </td>
      <td>
        <span className={styles.answer}>{row.outcome}</span>
        {row.hard ? <span className="quiet">always</span> : null}
        {row.shipped ? <span className="quiet">shipped: {row.shipped.outcome}</span> : null}
      </td>
      <td>
        {row.wait}
        {row.shipped && row.shipped.wait !== row.wait ? (
          <span className="quiet">shipped: {row.shipped.wait}</span>
        ) : null}
      </td>
      <td>
        {row.text}
        <span className={styles.client}>{row.clientText}</span>
      </td>
      <td>
        {GROUNDS[row.grounds]}
        {onEdit ? (
          <button type="button" className={styles.edit} onClick={onEdit} aria-label={`Change: ${row.when}`}>
            Change
          </button>
        ) : null}
      </td>
    </tr>
  );
}

interface ChangeProps {
  readonly row: Row;
  readonly onClose: () => void;
  readonly onDone: (page: RulesPage) => void;
}

function ChangeRule({ row, onClose, onDone }: ChangeProps) {
  const [outcome, setOutcome] = useState<Outcome>(row.outcome);
  const [wait, setWait] = useState(row.waitDays === null ? '' : String(row.waitDays));
  const [reason, setReason] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const rule = RULES.find((r) => r.code === row.code) ?? COMBINATIONS.find((c) => c.code === row.code);
  const change: RuleChange = {
    code: row.code,
    reason,
    ...(outcome === row.outcome ? {} : { outcome }),
    ...(wait === '' || Number(wait) === row.waitDays ? {} : { waitDays: Number(wait) }),
  };
  const loosens = rule !== undefined && isLoosening(rule, change);
  const save = async (): Promise<void> => {
    const checked = checkRuleChange(change);
    if (!checked.ok) return setFault(checked.error.message);
    const sent = await sendJson<RulesPage>('POST', '/api/rules', change);
    if (sent.ok) onDone(sent.value);
    else setFault(sent.error.message);
  };
  return (
    <Modal
      open
      title={row.when}
      okText={loosens ? 'Make it milder' : 'Keep the change'}
      onOk={() => void save()}
      onCancel={onClose}
      destroyOnHidden
    >
      <div className={styles.form}>
        <p>{row.text}</p>
        <div className={styles.outcomes} role="radiogroup" aria-label="Answer">
          {OUTCOMES.map((o) => (
            <button key={o} type="button" role="radio" aria-checked={outcome === o} onClick={() => setOutcome(o)}>
              {o}
            </button>
          ))}
        </div>
        <label>
          Wait in days
          <Input
            inputMode="numeric"
            value={wait}
            onChange={(e) => setWait(e.target.value.replace(/\D/g, ''))}
            placeholder={row.wait}
          />
        </label>
        <label>
          {loosens ? 'Why milder (needed)' : 'Why'}
          <Input.TextArea value={reason} rows={2} maxLength={500} onChange={(e) => setReason(e.target.value)} />
        </label>
        {row.hard ? <p className="quiet">This rule can be tightened, never loosened.</p> : null}
        {fault ? (
          <p role="alert" className={styles.fault}>
            {fault}
          </p>
        ) : null}
      </div>
    </Modal>
  );
}
