'use client';

import { Button, Input } from 'antd';
import { useState } from 'react';
import styles from './Studio.module.css';

interface Props {
  readonly tables: readonly string[];
  readonly onChange: (tables: readonly string[]) => void;
}

/** Treatment tables by name: no more visits are booked at one time than there are. */
export function Tables({ tables, onChange }: Props) {
  const [name, setName] = useState('');
  const isThere = tables.includes(name.trim());
  return (
    <>
      <h2>Treatment tables</h2>
      <p className="quiet">
        {tables.length === 0
          ? 'None named: as many visits can be booked at one time as people work.'
          : 'No more visits are booked at one time than there are tables.'}
      </p>
      <ul>
        {tables.map((table) => (
          <li key={table} className={styles.weekday}>
            <span>{table}</span>
            <Button
              type="text"
              aria-label={`Take away table ${table}`}
              onClick={() => onChange(tables.filter((t) => t !== table))}
            >
              Take away
            </Button>
          </li>
        ))}
      </ul>
      <div className={styles.weekday}>
        <Input
          aria-label="Name of a table"
          placeholder="name, as you call it"
          maxLength={30}
          value={name}
          onChange={(e) => setName(e.target.value)}
        />
        <Button
          disabled={name.trim() === '' || isThere}
          onClick={() => {
            onChange([...tables, name.trim()]);
            setName('');
          }}
        >
          Add the table
        </Button>
        {isThere ? <span className="quiet">It is there already.</span> : null}
      </div>
    </>
  );
}
