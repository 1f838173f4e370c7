'use client';

import { Button, Radio, Select } from 'antd';
import { useState } from 'react';
import { ZONE_IDS, ZONES, type ZoneId } from '@/core/anatomy';
import type { Preferences } from '@/core/matching';
import type { Catalogue } from '@/server/services/catalogue';
import type { Choice } from './Choosing.client';
import styles from './Products.module.css';

const zoneName = (zone: ZoneId): string => ZONES[zone].name;
type First = Preferences['first'];
const FIRST_WORDS: Readonly<Record<First, string>> = { wax: 'wax', sugar: 'sugar', none: 'neither' };
const FIRSTS: readonly First[] = ['wax', 'sugar', 'none'];
const OF_HOUSE = 'house';

/** What the house and each practitioner reach for first, and favourites of zones. */
export function FirstChoice({
  choice,
  catalogue,
  onChange,
}: {
  readonly choice: Choice;
  readonly catalogue: Pick<Catalogue, 'people' | 'rows'>;
  readonly onChange: (next: Choice) => void;
}) {
  const { preferences, firstOf } = choice;
  const prefer = (more: Partial<Preferences>): void =>
    onChange({ ...choice, preferences: { ...preferences, ...more } });
  const setFirstOf = (person: string, first: First | typeof OF_HOUSE): void => {
    const others = Object.fromEntries(Object.entries(firstOf).filter(([id]) => id !== person));
    onChange({ ...choice, firstOf: first === OF_HOUSE ? others : { ...others, [person]: first } });
  };
  return (
    <>
      <div className={styles.first} role="group" aria-labelledby="house-first">
        <strong id="house-first">Where both would do, first</strong>
        <Radio.Group
          value={preferences.first}
          options={FIRSTS.map((value) => ({ value, label: FIRST_WORDS[value] }))}
          optionType="button"
          onChange={(e) => prefer({ first: e.target.value as First })}
        />
      </div>
      <div className={styles.first} role="group" aria-label="What each reaches for first">
        {catalogue.people.map(({ id, name }) => (
          <label key={id}>
            {name}{' '}
            <Select<First | typeof OF_HOUSE>
              value={firstOf[id] ?? OF_HOUSE}
              popupMatchSelectWidth={false}
              options={[
                { value: OF_HOUSE, label: 'as the house' },
                ...FIRSTS.map((value) => ({ value, label: FIRST_WORDS[value] })),
              ]}
              onChange={(first) => setFirstOf(id, first)}
            />
          </label>
        ))}
      </div>
      <Favourites
        favourites={preferences.favourites}
        rows={catalogue.rows}
        onChange={(favourites) => prefer({ favourites })}
      />
    </>
  );
}

function Favourites({
  favourites,
  rows,
  onChange,
}: {
  readonly favourites: Preferences['favourites'];
  readonly rows: Catalogue['rows'];
  readonly onChange: (favourites: Preferences['favourites']) => void;
}) {
  const [zone, setZone] = useState<ZoneId | null>(null);
  const named = (id: string): string => {
    const row = rows.find((r) => r.product.id === id);
    if (!row) return `${id} (not in the catalogue)`;
    return row.stocked ? row.product.name : `${row.product.name} (not on the shelf)`;
  };
  const chosen = ZONE_IDS.flatMap((z) => (favourites[z] === undefined ? [] : [[z, favourites[z]] as const]));
  const without = (z: ZoneId): Preferences['favourites'] => Object.fromEntries(chosen.filter(([other]) => other !== z));
  return (
    <div className={styles.first} role="group" aria-label="Favourites of zones">
      <strong>Favourite of a zone</strong>
      {chosen.map(([z, product]) => (
        <span key={z} className={styles.favourite}>
          {zoneName(z)}: {named(product)}{' '}
          <Button aria-label={`No favourite for ${zoneName(z)}`} onClick={() => onChange(without(z))}>
            ✕
          </Button>
        </span>
      ))}
      <Select<ZoneId>
        aria-label="Zone"
        placeholder="zone"
        value={zone}
        showSearch={{ optionFilterProp: 'label' }}
        popupMatchSelectWidth={false}
        options={ZONE_IDS.filter((z) => favourites[z] === undefined).map((z) => ({ value: z, label: zoneName(z) }))}
        onChange={setZone}
      />
      <Select<string>
        aria-label="Product"
        placeholder="product"
        value={null}
        disabled={zone === null}
        popupMatchSelectWidth={false}
        options={rows.filter((r) => r.stocked).map((r) => ({ value: r.product.id, label: r.product.name }))}
        onChange={(product) => {
          if (zone === null) return;
          onChange({ ...favourites, [zone]: product });
          setZone(null);
        }}
      />
    </div>
  );
}
