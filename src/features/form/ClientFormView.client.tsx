'use client';

import { useEffect, useState } from 'react';
import type { Signature } from '@/server/db/schema';
import type { ClientForm } from '@/server/services/clientForm';
import { PinPad } from '@/ui/PinPad.client';
import { dayMonthYear } from '@/ui/words';
import { BodyMap } from './BodyMap.client';
import { addSpot, dropSpot, isMinor, missingOn, pagesOf, setNoneOfAll, toggleNoLonger } from './formState';
import { QuestionCard } from './QuestionCard';
import { SignaturePad } from './SignaturePad.client';
import { useClientForm } from './useClientForm';
import styles from './Form.module.css';

const SYNC = {
  saved: 'Saved',
  saving: 'Keeping …',
  waiting: 'Kept on this tablet; the studio gets it when it is back',
} as const;

/**
 * The client's side of the consultation: large and plain, one thing at a time, nothing else of the studio to be seen.
 */
export function ClientFormView({ form }: { readonly form: ClientForm }) {
  const { data, sync, change, finish, forget } = useClientForm(form);
  const [signed, setSigned] = useState(form.state === 'signed');
  const [pinOpen, setPinOpen] = useState(false);
  const [pressed, setPressed] = useState(false);
  const [signature, setSignature] = useState<Signature | null>(null);
  const [guardian, setGuardian] = useState<Signature | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const pages = pagesOf(form);
  const index = Math.min(data.page, pages.length - 1);
  const page = pages[index] ?? { kind: 'welcome' };
  const missing = missingOn(page, form, data);
  const minor = isMinor(form, data);
  const firstName = form.clientName.split(' ')[0] ?? '';
  useEffect(() => {
    document.documentElement.dataset['ready'] = 'yes';
  }, []);
  const goTo = (next: number): void => {
    setPressed(false);
    change({ ...data, page: Math.max(0, Math.min(pages.length - 1, next)) });
    window.scrollTo(0, 0);
  };
  const forwards = (): void => {
    if (missing) setPressed(true);
    else goTo(index + 1);
  };
  const back = (visitId: string): void => {
    forget();
    window.location.assign(`/visits/${visitId}/consult`);
  };
  const sign = async (): Promise<void> => {
    if (!signature) return setFault('Please sign in the box, or write your name.');
    if (minor && (data.guardianName.trim() === '' || !guardian)) {
      return setFault('A parent or guardian signs too, with their name.');
    }
    const sent = await finish<{ version: number }>(`/api/forms/${form.id}/sign`, (version) => ({
      version,
      data,
      textVersion: form.consent.version,
      signerName: signature.kind === 'typed' ? signature.name : form.clientName,
      signature,
      guardianSignature: minor ? guardian : null,
    }));
    if (sent.ok) setSigned(true);
    else {
      setFault(
        sent.error.code === 'away'
          ? 'The studio’s computer does not answer just now. What you wrote is kept; please try again in a moment.'
          : `${sent.error.message} What you wrote is kept.`,
      );
    }
  };
  if (signed || form.state === 'taken-back') {
    return (
      <main className={styles.form}>
        <div className={styles.thanks}>
          <h1>{signed ? `Thank you, ${firstName}.` : 'This form has been taken back.'}</h1>
          <p>Please hand the tablet back.</p>
          <PinPad<{ visitId: string }>
            url={`/api/forms/${form.id}/unlock`}
            does="Take back"
            onClose={null}
            onOpened={({ visitId }) => back(visitId)}
          />
        </div>
      </main>
    );
  }
  if (pinOpen) {
    return (
      <main className={styles.form}>
        <div className={styles.thanks}>
          <PinPad<{ visitId: string }>
            url={`/api/forms/${form.id}/unlock`}
            does="Take back"
            onClose={() => setPinOpen(false)}
            closeWords="Back to the form"
            onOpened={({ visitId }) => back(visitId)}
          />
        </div>
      </main>
    );
  }
  return (
    <main className={styles.form}>
      <header className={styles.head}>
        <span>{form.studioName}</span>
        <span role="status" data-sync={sync}>
          {SYNC[sync]}
        </span>
        <progress value={index + 1} max={pages.length} aria-label={`Page ${index + 1} of ${pages.length}`} />
      </header>
      <div className={styles.page}>
        {page.kind === 'welcome' ? (
          <section className={styles.question}>
            <h1>Hello {firstName}.</h1>
            <p className={styles.lead}>
              {form.lastOn
                ? `You were last here on ${dayMonthYear(form.lastOn)}. Please tell us what has changed since.`
                : 'Before we begin: fourteen short questions about your skin and your health. They decide which wax is right for you today, and where we should leave your skin alone.'}
            </p>
            <p className={styles.lead}>
              Your answers stay in this studio. There are no wrong ones; if you are not sure, say so.
            </p>
            {form.bornOn === null ? (
              <label className={styles.field}>
                Your date of birth
                <input
                  type="date"
                  max={form.on}
                  value={data.bornOn ?? ''}
                  onChange={(e) => change({ ...data, bornOn: e.target.value === '' ? null : e.target.value })}
                />
              </label>
            ) : null}
          </section>
        ) : null}
        {page.kind === 'question' ? (
          <QuestionCard key={page.question.id} question={page.question} data={data} compact={false} onChange={change} />
        ) : null}
        {page.kind === 'changes' ? (
          <>
            <h1>{form.lastOn ? `What has changed since ${dayMonthYear(form.lastOn)}?` : 'What has changed?'}</h1>
            {form.standing.length > 0 ? (
              <section
                className={styles.question}
                data-compact="true"
                data-answered="true"
                aria-label="Is this still so?"
              >
                <h2>Is this still so?</h2>
                <div className={styles.choices}>
                  {form.standing.map((s) => (
                    <button
                      key={s.fact}
                      type="button"
                      className={styles.choice}
                      aria-pressed={!data.noLonger.includes(s.fact)}
                      onClick={() => change(toggleNoLonger(data, s.fact))}
                    >
                      <strong>{s.label}</strong>
                      <span>{data.noLonger.includes(s.fact) ? 'No longer so' : 'Still so; tap if it is not'}</span>
                    </button>
                  ))}
                </div>
              </section>
            ) : null}
            <button type="button" className={styles.nothing} onClick={() => change(setNoneOfAll(data, page.questions))}>
              Nothing else of what is below
            </button>
            {page.questions.map((q) => (
              <QuestionCard key={q.id} question={q} data={data} compact onChange={change} />
            ))}
          </>
        ) : null}
        {page.kind === 'body' ? (
          <section className={styles.question}>
            <h1>Is there a place we should look at first?</h1>
            <p className={styles.lead}>Tap it. If there is none, just go on.</p>
            <BodyMap
              spots={data.spots}
              onAdd={(spot) => change(addSpot(data, spot))}
              onDrop={(i) => change(dropSpot(data, i))}
            />
            <label className={styles.field}>
              Anything else we should know?
              <textarea
                rows={2}
                maxLength={2000}
                value={data.words}
                onChange={(e) => change({ ...data, words: e.target.value })}
              />
            </label>
          </section>
        ) : null}
        {page.kind === 'sign' ? (
          <section className={styles.question}>
            <h1>Please read and sign.</h1>
            {form.consent.paragraphs.map((p) => (
              <p key={p} className={styles.consent}>
                {p}
              </p>
            ))}
            <SignaturePad label={`Signature of ${form.clientName}`} value={signature} onChange={setSignature} />
            {minor ? (
              <>
                <p className={styles.consent}>{form.consent.guardian}</p>
                <label className={styles.field}>
                  Name of the parent or guardian
                  <input
                    maxLength={120}
                    value={data.guardianName}
                    onChange={(e) => change({ ...data, guardianName: e.target.value })}
                  />
                </label>
                <SignaturePad label="Signature of the parent or guardian" value={guardian} onChange={setGuardian} />
              </>
            ) : null}
            <p className={styles.note}>Words of version {form.consent.version}.</p>
          </section>
        ) : null}
        {(pressed && missing) || fault ? (
          <p role="alert" className={styles.fault}>
            {pressed && missing ? missing : fault}
          </p>
        ) : null}
      </div>
      <footer className={styles.foot}>
        <button type="button" className={styles.back} disabled={index === 0} onClick={() => goTo(index - 1)}>
          Back
        </button>
        <button type="button" className={styles.small} onClick={() => setPinOpen(true)}>
          Practitioner
        </button>
        {page.kind === 'sign' ? (
          <button type="button" className={styles.next} onClick={() => void sign()}>
            I agree and sign
          </button>
        ) : (
          <button type="button" className={styles.next} onClick={forwards}>
            Next
          </button>
        )}
      </footer>
    </main>
  );
}
