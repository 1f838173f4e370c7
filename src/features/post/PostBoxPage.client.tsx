'use client';

import { Button } from 'antd';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import type { PostBox } from '@/server/services/postBox';
import { sendJson } from '@/ui/sendJson';
import { plural, shortDateTime } from '@/ui/words';
import styles from './Post.module.css';

/** What would be sent to clients: read here, exported as a file, and nowhere sent. */
export function PostBoxPage({ first }: { readonly first: PostBox }) {
  const [box, setBox] = useState(first);
  const [fault, setFault] = useState('');
  const { timeZone, due, messages } = box;
  const remind = async (): Promise<void> => {
    const sent = await sendJson<PostBox>('POST', '/api/post', {}, crypto.randomUUID());
    if (sent.ok) setBox(sent.value);
    setFault(sent.ok ? '' : sent.error.message);
  };
  return (
    <section className={styles.page}>
      <h1>
        {messages.length === 0 ? 'The post box is empty' : `${plural(messages.length, 'message')} in the post box`}
      </h1>
      <p className="quiet">
        Simulated: nothing is sent from here. A message can be exported and sent by your own program.
      </p>
      {fault === '' ? null : <p role="alert">{fault}</p>}
      {due.length > 0 ? (
        <div className={styles.due}>
          <h2>{plural(due.length, 'visit')} in the next eight days without a reminder</h2>
          <p className="quiet">
            {due
              .slice(0, 8)
              .map((d) => `${d.name}, ${shortDateTime(d.startsAtMs, timeZone)}`)
              .join('; ')}
            {due.length > 8 ? ` and ${due.length - 8} more` : ''}
          </p>
          <Button type="primary" onClick={() => void remind()}>
            Write {plural(due.length, 'reminder')}
          </Button>
        </div>
      ) : null}
      <ul className={styles.list}>
        {messages.map((m) => (
          <li key={m.id}>
            <details>
              <summary>
                <strong>{m.subject}</strong> {m.name} <span className="quiet">{shortDateTime(m.atMs, timeZone)}</span>
              </summary>
              <pre>{m.words}</pre>
              <p>
                <Button href={`/api/post/${m.id}`}>Export as .eml</Button>{' '}
                <Link href={`/clients/${m.clientId}`}>The card</Link>
              </p>
            </details>
          </li>
        ))}
      </ul>
    </section>
  );
}
