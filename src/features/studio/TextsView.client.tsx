'use client';

import { Button, Input } from 'antd';
import { useState } from 'react';
import type { MessageKind } from '@/formats/messageTemplate';
import type { OwnMessages } from '@/server/services/ownMessages';
import type { OwnTexts } from '@/server/services/ownTexts';
import { sendJson } from '@/ui/sendJson';
import { dayMonthYearAt } from '@/ui/words';
import { MessageForm } from './MessageForm';
import { Said } from './Said';
import styles from './Studio.module.css';

type Text = OwnTexts['texts'][number];
const TITLES: Readonly<Record<Text['kind'], readonly [string, string]>> = {
  consent: ['What clients sign', 'An empty line begins a new paragraph. Who has it read by a lawyer sleeps better.'],
  guardian: ['What a parent or guardian signs', 'Stands above their signature.'],
  care: ['Your own words on the after-care card', 'They come after the shipped ones; they replace none of them.'],
};

/** The studio's own words, each version kept: what was signed names the one it was. */
interface ViewProps {
  readonly first: OwnTexts & OwnMessages;
  readonly studio: string;
  readonly timeZone: string;
}

export function TextsView({ first, studio, timeZone }: ViewProps) {
  const [{ texts, messages }, setTexts] = useState(first);
  const [said, setSaid] = useState<{ readonly text: string; readonly bad: boolean } | null>(null);
  const keep = async (kind: Text['kind'] | MessageKind, words: string): Promise<void> => {
    const sent = await sendJson<OwnTexts & OwnMessages>('PUT', '/api/studio/texts', { kind, words });
    if (sent.ok) setTexts(sent.value);
    setSaid(
      sent.ok
        ? { text: 'Kept as a new version. What was signed before keeps its own words.', bad: false }
        : { text: `${sent.error.message} What you typed still stands here.`, bad: true },
    );
  };
  return (
    <section className={styles.page}>
      <h1>Texts</h1>
      <Said said={said} />
      {texts.map((t) => (
        <TextForm key={`${t.kind} ${t.versions.length}`} text={t} timeZone={timeZone} onKeep={keep} />
      ))}
      {messages.map((m) => (
        <MessageForm
          key={`${m.kind} ${m.versions.length}`}
          message={m}
          studio={studio}
          timeZone={timeZone}
          onKeep={(words) => keep(m.kind, words)}
        />
      ))}
    </section>
  );
}

interface FormProps {
  readonly text: Text;
  readonly timeZone: string;
  readonly onKeep: (kind: Text['kind'], words: string) => Promise<void>;
}

function TextForm({ text, timeZone, onKeep }: FormProps) {
  const { kind, words, shipped, versions } = text;
  const [draft, setDraft] = useState(words === '' ? shipped : words);
  const [title, explained] = TITLES[kind];
  // the shipped words are not a version of one's own
  const sent = draft.trim() === shipped.trim() ? '' : draft.trim();
  return (
    <section aria-label={title} className={styles.text}>
      <h2>{title}</h2>
      <p className="quiet">{explained}</p>
      <Input.TextArea
        aria-label={title}
        autoSize={{ minRows: 2, maxRows: 14 }}
        maxLength={4000}
        value={draft}
        onChange={(e) => setDraft(e.target.value)}
      />
      <div className={styles.weekday}>
        <Button type="primary" disabled={sent === words} onClick={() => void onKeep(kind, sent)}>
          Keep as a new version
        </Button>
        {shipped !== '' && draft.trim() !== shipped.trim() ? (
          <Button onClick={() => setDraft(shipped)}>The shipped words</Button>
        ) : null}
        <span className="quiet">
          {versions.length === 0
            ? 'As shipped.'
            : versions
                .slice(0, 3)
                .map((v) => [`version ${v.version}`, dayMonthYearAt(v.atMs, timeZone), v.by].filter(Boolean).join(', '))
                .join('; ')}
        </span>
      </div>
    </section>
  );
}
