'use client';

import { Button, Input, Modal } from 'antd';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { ClientLine } from '@/server/services/clientSearch';
import type { MergeLook } from '@/server/services/merge';
import { notTaken, sendJson } from '@/ui/sendJson';
import { dayMonthYear, plural } from '@/ui/words';
import styles from './Clients.module.css';

interface Props {
  readonly client: { readonly id: string; readonly name: string };
  readonly onClose: () => void;
}

const MOST_FOUND = 6;

async function search(query: string): Promise<readonly ClientLine[]> {
  const response = await fetch('/api/clients', { headers: { 'x-search': encodeURIComponent(query) } });
  if (!response.ok) return [];
  const answer = (await response.json()) as { readonly clients: readonly ClientLine[] };
  return answer.clients;
}

/** Puts the other card of this person together with this one: found by name, looked at, then done; it can be undone. */
export function MergeCard({ client, onClose }: Props) {
  const router = useRouter();
  const [query, setQuery] = useState(client.name.split(' ').at(-1) ?? '');
  const [found, setFound] = useState<readonly ClientLine[]>([]);
  const [other, setOther] = useState<(MergeLook & { readonly id: string }) | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  useEffect(() => {
    let isOver = false;
    search(query).then(
      (lines) => {
        if (!isOver) setFound(lines.filter((l) => l.id !== client.id).slice(0, MOST_FOUND));
      },
      () => {
        if (!isOver) setFault('The server does not answer. Nothing was changed.');
      },
    );
    return () => {
      isOver = true;
    };
  }, [query, client.id]);
  const look = async (goneId: string): Promise<void> => {
    const sent = await sendJson<MergeLook>('PUT', `/api/clients/${client.id}/merge`, { goneId });
    setFault(sent.ok ? sent.value.fault : sent.error.message);
    setOther(sent.ok ? { ...sent.value, id: goneId } : null);
  };
  const merge = async (): Promise<void> => {
    if (!other) return;
    const sent = await sendJson('POST', `/api/clients/${client.id}/merge`, { goneId: other.id });
    if (!sent.ok) return setFault(notTaken(sent.error));
    onClose();
    router.refresh();
  };
  return (
    <Modal
      open
      title={`Another card of ${client.name}?`}
      onCancel={onClose}
      footer={[
        <Button key="no" onClick={onClose}>
          Leave both
        </Button>,
        <Button key="yes" type="primary" disabled={!other || other.fault !== null} onClick={() => void merge()}>
          Make them one card
        </Button>,
      ]}
    >
      <div className={styles.erase}>
        <Input
          aria-label="Find the other card"
          placeholder="Name or phone of the other card"
          value={query}
          maxLength={100}
          onChange={(e) => {
            setQuery(e.target.value);
            setOther(null);
          }}
        />
        {other ? null : (
          <ul className={styles.found} aria-label="Cards found">
            {found.map((l) => (
              <li key={l.id}>
                <Button block onClick={() => void look(l.id)}>
                  {[l.name, l.byline, l.phone].filter(Boolean).join(' · ')}
                </Button>
              </li>
            ))}
            {found.length === 0 ? <li className="quiet">No other card found.</li> : null}
          </ul>
        )}
        {other ? (
          <>
            <p>
              <strong>{other.name}</strong>
              {[
                other.byline,
                other.bornOn ? `born ${dayMonthYear(other.bornOn)}` : 'day of birth not noted',
                other.phone,
                plural(other.visits, 'visit'),
              ]
                .filter(Boolean)
                .map((t) => ` · ${t}`)
                .join('')}
            </p>
            {other.fault === null ? (
              <p>
                Visits, bookings, consents, messages and money of that card come over to this one. What either card
                warns of stays; the more sensitive skin counts. The other card is archived, and the two can be parted
                again.
              </p>
            ) : null}
          </>
        ) : null}
        {fault === null ? null : <p role="alert">{fault}</p>}
      </div>
    </Modal>
  );
}
