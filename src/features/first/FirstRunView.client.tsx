'use client';

import { Link } from '@/ui/Link';
import { Button, Input, Select } from 'antd';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Stroke } from '@/core/field';
import type { Plan } from '@/core/plan';
import { DAYS, DayRow } from '@/features/studio/DayRow';
import type { FirstRun } from '@/server/services/firstRun';
import { currencies } from '@/ui/currencies';
import { Mark } from '@/ui/Mark';
import { ArmStrips, CombArm } from './ArmSheets';
import { FirstSlip } from './FirstSlip';
import { useFirstPlan } from './useFirstPlan';
import { useFirstRun } from './useFirstRun';
import { Wares } from './Wares';
import styles from './First.module.css';

const STEPS = ['name', 'you', 'shelf', 'hours', 'client', 'comb'] as const;
type Step = (typeof STEPS)[number];
const NAMES: Readonly<Record<Step, string>> = {
  name: 'Name',
  you: 'You',
  shelf: 'Shelf',
  hours: 'Hours',
  client: 'First client',
  comb: 'Comb and see',
};
const QUESTIONS: Readonly<Record<Step, readonly [string, string]>> = {
  name: ['What is your studio called?', 'It stands on what clients take home. Prices are in its currency.'],
  you: ['Who works here?', 'Others can be added later. With a PIN this machine opens only to your studio.'],
  shelf: ['Which waxes stand on your shelf?', 'Tap what is there. Only these will be planned with.'],
  hours: ['When are you open?', 'Visits are offered within these hours. Closed days can wait.'],
  client: ['Who comes first?', 'A name is enough: the card asks for the rest when they come.'],
  comb: [
    'Comb this arm, and the strips lay themselves',
    'Drag over the hair the way it grows. It is nobody’s arm: nothing of it is kept.',
  ],
};

interface Props {
  readonly first: FirstRun;
  readonly today: string;
}

/** Six short steps to the first plan. Every step is kept as it is taken. */
export function FirstRunView({ first, today }: Props) {
  const router = useRouter();
  const { act, busy, fault } = useFirstRun();
  const [step, setStep] = useState<Step>(STEPS.find((s) => s !== 'comb' && !first.done.includes(s)) ?? 'comb');
  const [name, setName] = useState(first.done.includes('name') ? first.studioName : '');
  const [currency, setCurrency] = useState(first.currency);
  const [you, setYou] = useState(first.done.includes('you') ? first.person.name : '');
  const [pin, setPin] = useState('');
  const [here, setHere] = useState<ReadonlySet<string>>(
    new Set(first.done.includes('shelf') ? first.products.filter((p) => p.isHere).map((p) => p.id) : []),
  );
  const [hours, setHours] = useState(first.hours);
  const [client, setClient] = useState(first.client?.name ?? '');
  const [strokes, setStrokes] = useState<readonly Stroke[]>([]);
  const plan = useFirstPlan(today, [...here], strokes);
  const made: Plan | null = plan === 'failed' ? null : plan;
  const [question, explained] = QUESTIONS[step];
  const savedWords = fault === '' ? 'All saved' : 'Not saved';
  const next = (): void => setStep(STEPS[STEPS.indexOf(step) + 1] ?? 'comb');
  const take = async (does: Parameters<typeof act>[0]): Promise<void> => {
    if (await act(does)) next();
  };
  const finish = async (): Promise<void> => {
    if (!(await act({ finish: true }))) return;
    router.push('/');
  };
  const tap = (id: string): void => {
    const others = [...here].filter((p) => p !== id);
    setHere(new Set(here.has(id) ? others : [...others, id]));
  };
  const isPinFit = pin === '' || /^\d{4,8}$/.test(pin);
  const keys: Readonly<Record<Step, React.ReactNode>> = {
    name: (
      <Button
        type="primary"
        loading={busy}
        disabled={name.trim() === ''}
        onClick={() => void take({ name: { name: name.trim(), currency } })}
      >
        That is its name
      </Button>
    ),
    you: (
      <Button
        type="primary"
        loading={busy}
        disabled={you.trim() === '' || !isPinFit}
        onClick={() => void take({ you: { name: you.trim(), pin: first.person.hasPin || pin === '' ? null : pin } })}
      >
        {pin === '' && !first.person.hasPin ? 'Go on without a PIN' : 'That is me'}
      </Button>
    ),
    shelf: (
      <Button
        type="primary"
        loading={busy}
        disabled={here.size === 0}
        onClick={() => void take({ shelf: { products: [...here] } })}
      >
        {here.size === 1 ? 'This one stands here' : `These ${here.size} stand here`}
      </Button>
    ),
    hours: (
      <Button type="primary" loading={busy} onClick={() => void take({ hours })}>
        These are our hours
      </Button>
    ),
    client: (
      <Button
        type="primary"
        loading={busy}
        disabled={client.trim() === ''}
        onClick={() => void take({ client: { name: client.trim() } })}
      >
        Make the card
      </Button>
    ),
    comb: (
      <Button
        type="primary"
        loading={busy}
        disabled={strokes.length === 0 || made === null}
        onClick={() => void finish()}
      >
        To your day
      </Button>
    ),
  };
  const results: Readonly<Record<Step, string>> = {
    name: first.done.includes('name') ? first.studioName : '',
    you: first.done.includes('you') ? `${first.person.name}${first.person.hasPin ? ', PIN set' : ', no PIN'}` : '',
    shelf: first.done.includes('shelf')
      ? `${first.products.filter((p) => p.isHere).length} of ${first.products.length}`
      : '',
    hours: first.done.includes('hours') ? `${first.hours.filter((d) => d.length > 0).length} days a week` : '',
    client: first.client?.name ?? '',
    comb: 'a drawn forearm',
  };
  return (
    <div className={styles.first} data-step={step}>
      <header className={styles.bar}>
        <Mark /> <strong>Strickle</strong>
        <span className="quiet" role="status">
          {busy ? 'Saving' : savedWords}
        </span>
      </header>
      <aside className={styles.left}>
        <h2>{first.done.includes('name') ? first.studioName : 'A new studio'}</h2>
        <p className="quiet">opened today</p>
        {first.done.length === 0 ? (
          <p>
            <Link href="/studio/keeping">Bring a studio from another machine</Link>
          </p>
        ) : null}
        {first.done.includes('you') ? (
          <>
            <h3>{first.person.name}</h3>
            <p className="quiet">{first.person.hasPin ? 'PIN set.' : 'No PIN yet.'} Others can be added later.</p>
          </>
        ) : null}
        <h3>Saved</h3>
        <p className="quiet">Every step as you take it. Leave, come back, go on.</p>
        <h3>Rather look round first?</h3>
        <p className="quiet">
          <code>npm run demo</code> opens an invented studio beside this one.
        </p>
      </aside>
      <main className={styles.centre}>
        <h1>{question}</h1>
        <p>{explained}</p>
        {fault === '' ? null : (
          <p role="alert" className={styles.bad}>
            {fault}
          </p>
        )}
        {step === 'name' ? (
          <div className={styles.fields}>
            <label>
              <span>Name of the studio</span>
              <Input size="large" maxLength={60} value={name} onChange={(e) => setName(e.target.value)} />
            </label>
            <label>
              <span>Currency</span>
              <Select
                size="large"
                showSearch
                optionFilterProp="label"
                value={currency}
                onChange={setCurrency}
                options={[...currencies()]}
                aria-label="Currency"
              />
            </label>
            <p className="quiet">Its clock: {first.timeZone}, as this machine says.</p>
          </div>
        ) : null}
        {step === 'you' ? (
          <div className={styles.fields}>
            <label>
              <span>Your name, as clients call you</span>
              <Input size="large" maxLength={60} value={you} onChange={(e) => setYou(e.target.value)} />
            </label>
            {first.person.hasPin ? (
              <p>Your PIN is set.</p>
            ) : (
              <label>
                <span>A PIN, four to eight digits</span>
                <Input.Password
                  size="large"
                  inputMode="numeric"
                  autoComplete="new-password"
                  maxLength={8}
                  value={pin}
                  status={isPinFit ? '' : 'warning'}
                  onChange={(e) => setPin(e.target.value.replace(/\D/g, ''))}
                />
                <small className="quiet">
                  {isPinFit ? 'Without one, whoever sits at this machine can open it.' : 'Four digits at least.'}
                </small>
              </label>
            )}
          </div>
        ) : null}
        {step === 'shelf' ? <Wares wares={first.products} here={here} onTap={tap} /> : null}
        {step === 'hours' ? (
          <ul className={styles.hours}>
            {DAYS.map((day, i) => (
              <DayRow
                key={day}
                name={day}
                spans={hours[i] ?? []}
                onChange={(spans) => setHours(hours.map((h, k) => (k === i ? spans : h)))}
              />
            ))}
          </ul>
        ) : null}
        {step === 'client' ? (
          <div className={styles.fields}>
            <label>
              <span>First and last name</span>
              <Input size="large" maxLength={80} value={client} onChange={(e) => setClient(e.target.value)} />
            </label>
          </div>
        ) : null}
        {step === 'comb' ? (
          <div className={styles.arm}>
            <CombArm strokes={strokes} today={today} onComb={setStrokes} />
            <div className={styles.armPlan} aria-live="polite">
              {strokes.length === 0 ? <p className="quiet">The strips appear here once you have combed.</p> : null}
              {strokes.length > 0 && made === null ? <p className="quiet">Laying out …</p> : null}
              {strokes.length > 0 && made ? <ArmStrips plan={made} strokes={strokes} maxHeight={480} /> : null}
            </div>
          </div>
        ) : null}
      </main>
      <aside className={styles.right}>
        <FirstSlip step={step} here={first.products.filter((p) => here.has(p.id))} plan={made} strokes={strokes} />
        {step === 'comb' || step === 'shelf' ? null : (
          <Button className={styles.later ?? ''} onClick={next}>
            Later
          </Button>
        )}
        {step === 'comb' ? (
          <Button className={styles.later ?? ''} onClick={() => void finish()}>
            Leave the arm out
          </Button>
        ) : null}
        <div className={styles.key}>{keys[step]}</div>
      </aside>
      <nav className={styles.steps} aria-label="Steps">
        {STEPS.map((s, i) => (
          <button key={s} type="button" aria-current={s === step ? 'step' : undefined} onClick={() => setStep(s)}>
            <strong>
              {i + 1} {NAMES[s]}
            </strong>
            <span className="quiet">{results[s]}</span>
          </button>
        ))}
      </nav>
    </div>
  );
}
