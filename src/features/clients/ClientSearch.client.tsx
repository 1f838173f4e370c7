'use client';

import { Alert, Button, Checkbox, Input } from 'antd';
import { Link } from '@/ui/Link';
import { useEffect, useRef, useState } from 'react';
import type { ClientLine } from '@/server/services/clientSearch';
import { useMay } from '@/ui/Who.client';
import { BringIn } from './bringIn/BringIn.client';
import { DueWords } from './DueWords';
import { NewClient } from './NewClient.client';
import styles from './Clients.module.css';

/** Search as you type over name, byline, phone and note. */
export function ClientSearch({
  first,
  timeZone,
}: {
  readonly first: readonly ClientLine[];
  readonly timeZone: string;
}) {
  const mayTakeOut = useMay('tables');
  const [query, setQuery] = useState('');
  const [lines, setLines] = useState(first);
  const [away, setAway] = useState(false);
  const [adding, setAdding] = useState(false);
  const [importing, setImporting] = useState(false);
  const [archived, setArchived] = useState(false);
  const asked = useRef(0);
  useEffect(() => {
    const mine = ++asked.current;
    const timer = setTimeout(
      () => {
        fetch('/api/clients', {
          headers: { 'x-search': encodeURIComponent(query), ...(archived ? { 'x-archived': 'yes' } : {}) },
        })
          .then((r) => r.json() as Promise<{ clients: readonly ClientLine[] }>)
          .then((answer) => {
            if (mine === asked.current) {
              setLines(answer.clients);
              setAway(false);
            }
          })
          .catch(() => {
            if (mine === asked.current) setAway(true);
          });
      },
      query === '' ? 0 : 120,
    );
    return () => clearTimeout(timer);
  }, [query, archived, first]);
  useEffect(() => {
    if (new URLSearchParams(window.location.search).has('search')) {
      document.querySelector<HTMLInputElement>('[data-search]')?.focus();
    }
  }, []);
  const none = nobody(archived, query);
  return (
    <section className={styles.page}>
      <div className={styles.head}>
        <h1>Clients</h1>
        <span className={styles.tools}>
          <Button type="primary" onClick={() => setAdding(true)}>
            New client
          </Button>
          {mayTakeOut ? <Button onClick={() => setImporting(true)}>Import</Button> : null}
          <Button href="/ready">Who is ready when</Button>
          {mayTakeOut ? (
            <>
              <Button href="/api/clients/export">Export</Button>
              <Button href="/api/clients/export/vcard">Address book</Button>
            </>
          ) : null}
        </span>
      </div>
      <Input
        data-search
        size="large"
        value={query}
        onChange={(e) => setQuery(e.target.value)}
        allowClear
        maxLength={100}
        placeholder="Name, phone, or a word from the card"
        aria-label="Search clients"
        className={styles.search ?? ''}
      />
      {away ? (
        <Alert type="warning" role="status" title="The server does not answer; this is the last list it gave." />
      ) : null}
      <p className="visually-hidden" role="status">
        {lines.length} clients
      </p>
      {lines.length === 0 ? (
        <div className={styles.empty}>
          <h2>{none.title}</h2>
          <p>{none.text}</p>
        </div>
      ) : (
        <ul className={styles.lines}>
          {lines.map((c) => (
            <li key={c.id}>
              <Link href={`/clients/${c.id}`} className={styles.line}>
                <span className={styles.who}>
                  <strong>{c.name}</strong>
                  <span className="quiet">{c.byline}</span>
                </span>
                <span className={styles.alerts}>
                  {c.alerts.slice(0, 2).map((a) => (
                    <em key={a}>{a}</em>
                  ))}
                  {c.alerts.length > 2 ? <em>and {c.alerts.length - 2} more</em> : null}
                </span>
                <DueWords due={c.due} timeZone={timeZone} />
                <span className="quiet">{c.phone}</span>
              </Link>
            </li>
          ))}
        </ul>
      )}
      <Checkbox checked={archived} onChange={(e) => setArchived(e.target.checked)}>
        Look among archived cards
      </Checkbox>
      {importing ? <BringIn onClose={() => setImporting(false)} /> : null}
      {adding ? <NewClient onClose={() => setAdding(false)} /> : null}
    </section>
  );
}

/** What is said where no card is found. */
function nobody(archived: boolean, query: string): { readonly title: string; readonly text: string } {
  if (archived) {
    return {
      title: 'No archived card',
      text: 'A card is archived from the client’s page; nothing of it is lost.',
    };
  }
  return query === ''
    ? { title: 'No clients yet', text: 'Add the first one; the card needs only a name.' }
    : { title: 'Nobody found', text: 'Try fewer letters, or add a new client.' };
}
