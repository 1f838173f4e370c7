'use client';

import { Button, Checkbox, Input, Modal, Radio } from 'antd';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { sendJson } from '@/ui/sendJson';
import type { PutOffProposal } from '@/server/services/putOff';
import { useBench } from '../BenchContext.client';
import { Fault } from '@/ui/Fault';
import styles from './Consult.module.css';

interface Props {
  readonly as: 'postponed' | 'declined';
  readonly onClose: () => void;
}

const moveWords = (day: string | undefined): string => (day ? `Move to ${day}` : 'Postpone without a date');

/** Ends the visit without wax: a date that suits and words for the client, or a note to take to the doctor. */
export function PutOff({ as, onClose }: Props) {
  const { bench } = useBench();
  const router = useRouter();
  const [proposal, setProposal] = useState<PutOffProposal | null>(null);
  const [pick, setPick] = useState(0);
  const [words, setWords] = useState('');
  const [touched, setTouched] = useState(false);
  const [post, setPost] = useState(as === 'postponed');
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const wordsFor = (p: PutOffProposal, i: number): string =>
    as === 'declined' ? p.referral : (p.messages[i] ?? p.messageWithoutDate);
  useEffect(() => {
    let gone = false;
    fetch(`/api/visits/${bench.visit.id}/put-off`)
      .then(async (r) => {
        if (!r.ok) throw new Error('refused');
        const p = (await r.json()) as PutOffProposal; // our own route's answer
        if (gone) return;
        setProposal(p);
        setWords(as === 'declined' ? p.referral : (p.messages[0] ?? p.messageWithoutDate));
        if (p.dates.length === 0) setPick(-1);
      })
      .catch(() => {
        if (!gone) setFault('The dates could not be looked up: the server does not answer. The visit stays as it is.');
      });
    return () => {
      gone = true;
    };
  }, [as, bench.visit.id]);
  const choose = (i: number): void => {
    setPick(i);
    if (proposal && !touched) setWords(wordsFor(proposal, i));
  };
  const send = async (): Promise<void> => {
    if (!proposal) return;
    setBusy(true);
    const date = as === 'postponed' ? proposal.dates[pick] : undefined;
    const sent = await sendJson<{ bookingId: string | null }>('POST', `/api/visits/${bench.visit.id}/put-off`, {
      version: bench.visit.version,
      as,
      next: date ? { startsAtMs: date.startsAtMs, minutes: proposal.minutes } : null,
      words,
      post,
    });
    setBusy(false);
    if (sent.ok) {
      router.push('/');
      router.refresh();
    } else setFault(`${sent.error.message} The visit stays as it is, and so do your words.`);
  };
  return (
    <Modal
      open
      width={620}
      style={{ top: 24 }}
      title={as === 'postponed' ? 'Postpone the visit' : 'Decline and refer'}
      onCancel={onClose}
      destroyOnHidden
      footer={[
        <Button key="no" onClick={onClose}>
          Leave it open
        </Button>,
        <Button key="yes" type="primary" loading={busy} disabled={!proposal} onClick={() => void send()}>
          {as === 'declined' ? 'Decline and keep the note' : moveWords(proposal?.dates[pick]?.words)}
        </Button>,
      ]}
    >
      <Fault text={fault} />
      {!proposal && !fault ? <p className="quiet">Looking for a date that suits …</p> : null}
      {proposal ? (
        <div className={styles.putOff}>
          {as === 'postponed' ? (
            <Radio.Group
              value={pick}
              onChange={(e) => choose(Number(e.target.value))}
              className={styles.dates ?? ''}
              aria-label="New time"
            >
              {proposal.dates.map((d, i) => (
                <Radio key={d.on} value={i}>
                  {d.words}
                  {i === 0 ? ' · the first that suits' : ''}
                </Radio>
              ))}
              <Radio value={-1}>No date yet</Radio>
            </Radio.Group>
          ) : null}
          {as === 'postponed' && proposal.dates.length === 0 ? (
            <p className="quiet">No date can be named before the doctor has agreed.</p>
          ) : null}
          <label>
            {as === 'declined' ? 'Note for the doctor or pharmacist' : 'Words for the client'}
            <Input.TextArea
              value={words}
              rows={8}
              maxLength={6000}
              onChange={(e) => {
                setWords(e.target.value);
                setTouched(true);
              }}
            />
          </label>
          <div className={styles.wordsFoot}>
            <Button onClick={() => void navigator.clipboard.writeText(words)}>Copy the words</Button>
            <Checkbox checked={post} onChange={(e) => setPost(e.target.checked)}>
              Into the post box (simulated: nothing leaves this machine)
            </Checkbox>
          </div>
          <p className="quiet">
            The visit stays on the card with its reasons. Medicines are the prescriber’s business.
          </p>
        </div>
      ) : null}
    </Modal>
  );
}
