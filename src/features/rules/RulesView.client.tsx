'use client';

import { withSizes } from '@/formats/size';
import { Button, Form, Input, Modal, Radio, Table } from 'antd';
import type { TableColumnsType } from 'antd';
import { useMemo, useState } from 'react';
import { checkRuleChange, isLoosening, RULES, COMBINATIONS, type Outcome, type RuleChange } from '@/core/screening';
import type { RulesPage } from '@/server/services/consultRules';
import { sendJson } from '@/ui/sendJson';
import { dayMonthYear, plural } from '@/ui/words';
import { Fault } from '@/ui/Fault';
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
  const columns = useMemo(() => columnsOf(setEditing), []);
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
            <Table<Row>
              className={styles.table ?? ''}
              size="small"
              tableLayout="fixed"
              rowKey="code"
              pagination={false}
              columns={columns}
              dataSource={[...rows]}
              onRow={(r) => ({ 'data-outcome': r.outcome }) as React.HTMLAttributes<HTMLElement>}
            />
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
                {c.refusal === null ? null : <strong>Holds no more: {c.refusal} </strong>}
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

/** What a row says, column by column; on a narrow screen the wait and the grounds stand under the rest. */
const columnsOf = (onEdit: (row: Row) => void): TableColumnsType<Row> => [
  { title: 'Found', render: (_, r) => <Found row={r} /> },
  { title: 'Answer', width: 100, render: (_, r) => <Answer row={r} /> },
  { title: 'Waits', width: 120, responsive: ['md'], render: (_, r) => <Wait row={r} /> },
  {
    title: 'To the practitioner, to the client',
    width: '42%',
    responsive: ['md'],
    render: (_, r) => (
      <>
        {r.text}
        <span className={styles.client}>{r.clientText}</span>
      </>
    ),
  },
  {
    title: 'Grounds',
    width: 120,
    render: (_, r) => (
      <>
        {GROUNDS[r.grounds]}
        {r.group === 'fact' || r.group === 'together' ? (
          <Button className={styles.edit ?? ''} onClick={() => onEdit(r)} aria-label={`Change: ${r.when}`}>
            Change
          </Button>
        ) : null}
      </>
    ),
  },
];

function Found({ row }: { readonly row: Row }) {
  return (
    <>
      <strong>{row.when}</strong>
      <span className="quiet">
        {row.scope}
        {row.also ? ` · ${withSizes(row.also)}` : ''}
      </span>
      <span className={styles.narrow}>
        {row.text} {row.wait === '' ? '' : `Waits: ${row.wait}.`}
      </span>
    </>
  );
}

function Answer({ row }: { readonly row: Row }) {
  return (
    <>
      <span className={styles.answer}>{row.outcome}</span>
      {row.hard ? <span className="quiet">always</span> : null}
      {row.shipped ? <span className="quiet">shipped: {row.shipped.outcome}</span> : null}
    </>
  );
}

function Wait({ row }: { readonly row: Row }) {
  return (
    <>
      {row.wait}
      {row.shipped && row.shipped.wait !== row.wait ? <span className="quiet">shipped: {row.shipped.wait}</span> : null}
    </>
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
      <Form layout="vertical" className={styles.form ?? ''} onFinish={() => void save()}>
        <p>{row.text}</p>
        <Radio.Group
          aria-label="Answer"
          optionType="button"
          buttonStyle="solid"
          options={OUTCOMES.map((o) => ({ value: o, label: o }))}
          value={outcome}
          onChange={(e) => setOutcome(e.target.value as Outcome)}
        />
        <Form.Item label="Wait in days" htmlFor="rule-wait">
          <Input
            id="rule-wait"
            inputMode="numeric"
            value={wait}
            onChange={(e) => setWait(e.target.value.replace(/\D/g, ''))}
            placeholder={row.wait}
          />
        </Form.Item>
        <Form.Item label={loosens ? 'Why milder (needed)' : 'Why'} htmlFor="rule-why">
          <Input.TextArea
            id="rule-why"
            value={reason}
            rows={2}
            maxLength={500}
            onChange={(e) => setReason(e.target.value)}
          />
        </Form.Item>
        {row.hard ? <p className="quiet">This rule can be tightened, never loosened.</p> : null}
        <Fault text={fault} />
      </Form>
    </Modal>
  );
}
