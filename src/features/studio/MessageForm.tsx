'use client';

import { Button, Input } from 'antd';
import { useState } from 'react';
import { fillTemplate, PLACES_OF, PLACE_WORDS, templateFault, type MessageKind } from '@/formats/messageTemplate';
import type { OwnMessages } from '@/server/services/ownMessages';
import { dayMonthYearAt } from '@/ui/words';
import styles from './Studio.module.css';

const TITLES: Readonly<Record<MessageKind, string>> = { reminder: 'The reminder', offer: 'The offer of a place' };

/** A visit that nobody has booked: only to show how a message reads. */
const EXAMPLE = {
  name: 'Alma',
  when: 'Friday 14 May at 10:30',
  who: 'the practitioner',
  minutes: '45',
  before: 'A week before: no peel, no acid\nA day before: no sun, no sport',
};

interface Props {
  readonly message: OwnMessages['messages'][number];
  readonly studio: string;
  readonly timeZone: string;
  readonly onKeep: (words: string) => Promise<void>;
}

/** The studio's own words of a message, with the message beside them as a client would read it. */
export function MessageForm({ message: { kind, words, versions }, studio, timeZone, onKeep }: Props) {
  const [draft, setDraft] = useState(words);
  const title = TITLES[kind];
  const fault = templateFault(kind, draft);
  return (
    <section aria-label={title} className={styles.text}>
      <h2>{title}</h2>
      <p className="quiet">
        Left empty, the shipped words are written, in the client’s language. Your own go to those whose card names no
        other language. Places to fill:{' '}
        {PLACES_OF[kind].may.map((p) => (
          <span key={p} className={styles.place}>
            <code>{`{${p}}`}</code> {PLACE_WORDS[p]}
          </span>
        ))}
      </p>
      <div className={styles.beside}>
        <Input.TextArea
          aria-label={title}
          autoSize={{ minRows: 5, maxRows: 14 }}
          maxLength={2000}
          value={draft}
          placeholder="As shipped."
          onChange={(e) => setDraft(e.target.value)}
        />
        <div className={styles.preview} aria-label={`${title}, as it reads`}>
          {draft.trim() === '' ? (
            <span className="quiet">As shipped.</span>
          ) : (
            fillTemplate(draft, { ...EXAMPLE, studio })
          )}
        </div>
      </div>
      {fault === null ? null : <p role="alert">{fault}</p>}
      <div className={styles.weekday}>
        <Button
          type="primary"
          disabled={fault !== null || draft.trim() === words}
          onClick={() => void onKeep(draft.trim())}
        >
          Keep as a new version
        </Button>
        {draft === '' ? null : <Button onClick={() => setDraft('')}>The shipped words</Button>}
        <span className="quiet">
          {versions
            .slice(0, 3)
            .map((v) => [`version ${v.version}`, dayMonthYearAt(v.atMs, timeZone), v.by].filter(Boolean).join(', '))
            .join('; ')}
        </span>
      </div>
    </section>
  );
}
