'use client';

import { Button, Input, Select, Switch } from 'antd';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import type { House } from '@/server/services/house';
import { useWho } from '@/ui/Who.client';
import { Said } from './Said';
import { SignInPart } from './SignInPart.client';
import { useHouse, type HouseActs } from './useHouse';
import styles from './Studio.module.css';

type Person = House['people'][number];
const LEVELS: readonly { readonly value: Person['level']; readonly label: string }[] = [
  { value: 'trainee', label: 'learning' },
  { value: 'practised', label: 'practised' },
  { value: 'expert', label: 'expert' },
];

const ROLE_WORDS: readonly { readonly value: Person['role']; readonly label: string }[] = [
  { value: 'owner', label: 'owner' },
  { value: 'practitioner', label: 'practitioner' },
  { value: 'trainee', label: 'trainee' },
  { value: 'desk', label: 'desk' },
];

/** Who works here: name, how practised the hand is, which services, PIN; nobody is taken away, only no longer here. */
export function PeopleView({ first }: { readonly first: House }) {
  const acts = useHouse(first);
  const [name, setName] = useState('');
  const add = async (): Promise<void> => {
    const isAdded = await acts.act(
      { newPerson: { name: name.trim(), level: 'practised', role: 'practitioner' } },
      `${name.trim()} is here now.`,
    );
    if (isAdded) setName('');
  };
  return (
    <section className={`${styles.page} ${styles.wide}`}>
      <h1>People</h1>
      <p className="quiet">
        How practised a hand is decides the largest strip and how many lie on the skin at once. Hours are set under{' '}
        <Link href="/hours">Hours</Link>.
      </p>
      <Said said={acts.said} />
      <ul>
        {acts.house.people.map((p) => (
          <PersonRow key={`${p.id} ${JSON.stringify(p)}`} person={p} acts={acts} />
        ))}
      </ul>
      <div className={styles.weekday}>
        <Input
          aria-label="Name of somebody new"
          placeholder="somebody new"
          maxLength={60}
          value={name}
          onChange={(e) => setName(e.target.value)}
          style={{ width: 240 }}
        />
        <Button disabled={name.trim() === ''} onClick={() => void add()}>
          Add
        </Button>
      </div>
      <SignInPart house={acts.house} />
    </section>
  );
}

function PersonRow({ person, acts }: { readonly person: Person; readonly acts: HouseActs }) {
  const [draft, setDraft] = useState(person);
  const [isPin, setIsPin] = useState(false);
  const set = (more: Partial<Person>): void => setDraft({ ...draft, ...more });
  const isChanged = JSON.stringify(draft) !== JSON.stringify(person);
  const { id, name, level, role, active, does } = draft;
  return (
    <li aria-label={person.name} className={styles.person} data-away={!person.active}>
      <span className={styles.initial} aria-hidden="true">
        {person.name.slice(0, 1)}
      </span>
      <div className={styles.weekday}>
        <Input
          aria-label={`Name of ${person.name}`}
          maxLength={60}
          value={name}
          onChange={(e) => set({ name: e.target.value })}
          style={{ width: 200 }}
        />
        <Select
          aria-label={`How practised ${person.name} is`}
          value={level}
          onChange={(l) => set({ level: l })}
          options={[...LEVELS]}
          style={{ width: 130 }}
        />
        <Select
          aria-label={`What ${person.name} may do`}
          value={role}
          onChange={(r) => set({ role: r })}
          options={[...ROLE_WORDS]}
          style={{ width: 140 }}
        />
        <Switch
          checked={active}
          checkedChildren="works here"
          unCheckedChildren="no longer here"
          aria-label={`${person.name} works here`}
          onChange={(is) => set({ active: is })}
        />
        <Button onClick={() => setIsPin(!isPin)} aria-expanded={isPin}>
          {person.hasPin ? 'Change the PIN' : 'Choose a PIN'}
        </Button>
      </div>
      <Select
        aria-label={`Services of ${person.name}`}
        mode="multiple"
        allowClear
        value={does === null ? [] : [...does]}
        placeholder="is booked for all services"
        onChange={(ids: string[]) => set({ does: ids.length === 0 ? null : ids })}
        options={acts.house.services.map((s) => ({ value: s.id, label: s.name }))}
        style={{ width: '100%' }}
      />
      {isPin ? <PinChange person={person} acts={acts} onDone={() => setIsPin(false)} /> : null}
      {isChanged ? (
        <Button
          type="primary"
          disabled={name.trim() === ''}
          onClick={() =>
            void acts.act({ person: { id, name: name.trim(), level, role, active, does } }, `${name.trim()}: saved.`)
          }
        >
          Save {person.name}
        </Button>
      ) : null}
    </li>
  );
}

interface PinProps {
  readonly person: Person;
  readonly acts: HouseActs;
  readonly onDone: () => void;
}

/** A new PIN, given twice; the one until now first. */
function PinChange({ person, acts, onDone }: PinProps) {
  const [old, setOld] = useState('');
  const [pin, setPin] = useState('');
  const [again, setAgain] = useState('');
  const field = (label: string, value: string, onChange: (v: string) => void) => (
    <Input.Password
      aria-label={`${label} of ${person.name}`}
      placeholder={label}
      inputMode="numeric"
      autoComplete="new-password"
      maxLength={8}
      value={value}
      onChange={(e) => onChange(e.target.value.replace(/\D/g, ''))}
      style={{ width: 190 }}
    />
  );
  // an owner who has signed in gives others a new one
  const { id: mine } = useWho();
  const needsOld = person.hasPin && (mine === null || mine === person.id);
  const isFit = pin.length >= 4 && pin === again && (!needsOld || old.length >= 4);
  const keep = async (): Promise<void> => {
    const done = `The PIN of ${person.name} is changed.`;
    if (await acts.changePin({ id: person.id, old: needsOld ? old : null, pin }, done)) onDone();
  };
  return (
    <div className={styles.weekday}>
      {needsOld ? field('PIN until now', old, setOld) : null}
      {field('New PIN', pin, setPin)}
      {field('New PIN again', again, setAgain)}
      <Button disabled={!isFit} onClick={() => void keep()}>
        Keep this PIN
      </Button>
      <span className="quiet">
        {pin !== '' && again !== '' && pin !== again ? 'The two differ.' : 'Four to eight digits.'}
      </span>
    </div>
  );
}
