'use client';

import { HeatField } from '@/ui/HeatField.client';
import { Button, Input, InputNumber, Select } from 'antd';
import { useState } from 'react';
import type { House } from '@/server/services/house';
import { currencies } from '@/ui/currencies';
import { DAYS } from './DayRow';
import { Said } from './Said';
import { useHouse } from './useHouse';
import styles from './Studio.module.css';

const factsOf = ({ name, timeZone, currency, firstWeekday, heatUnit, lengthUnit, weightUnit, ...more }: House) => ({
  ...{ name, timeZone, currency, firstWeekday, heatUnit, lengthUnit, weightUnit },
  ...{ roomC: more.roomC, humidityPct: more.humidityPct },
});

/** Name, clock, money, week and air of the studio. */
export function HouseView({ first }: { readonly first: House }) {
  const { house, said, act } = useHouse(first);
  const [draft, setDraft] = useState(factsOf(first));
  const set = (more: Partial<typeof draft>): void => setDraft({ ...draft, ...more });
  const isChanged = JSON.stringify(draft) !== JSON.stringify(factsOf(house));
  const zones = Intl.supportedValuesOf('timeZone');
  return (
    <section className={styles.page}>
      <h1>Name, clock and money</h1>
      <Said said={said} />
      <div className={styles.prices}>
        <label className={styles.price}>
          <span>
            Name<small className="quiet">on what clients take home</small>
          </span>
          <Input value={draft.name} maxLength={60} onChange={(e) => set({ name: e.target.value })} />
        </label>
        <label className={styles.price}>
          <span>
            Clock<small className="quiet">days and hours everywhere</small>
          </span>
          <Select
            aria-label="Time zone"
            showSearch
            value={draft.timeZone}
            onChange={(timeZone) => set({ timeZone })}
            options={[...new Set([draft.timeZone, 'UTC', ...zones])].map((value) => ({ value, label: value }))}
          />
        </label>
        <label className={styles.price}>
          <span>
            Currency<small className="quiet">not once the ledger has a line</small>
          </span>
          <Select
            aria-label="Currency"
            showSearch
            optionFilterProp="label"
            value={draft.currency}
            onChange={(currency) => set({ currency })}
            options={[...currencies()]}
          />
        </label>
        <label className={styles.price}>
          <span>
            The week begins on<small className="quiet">in the week’s plan</small>
          </span>
          <Select
            aria-label="First day of the week"
            value={draft.firstWeekday}
            onChange={(firstWeekday) => set({ firstWeekday })}
            options={DAYS.map((label, value) => ({ value, label }))}
          />
        </label>
        <ReadIn
          words="Heat is read in"
          note="on every page and paper"
          name="Unit of heat"
          value={draft.heatUnit}
          units={{ C: 'Celsius', F: 'Fahrenheit' }}
          onChange={(heatUnit) => set({ heatUnit })}
        />
        <ReadIn
          words="Lengths are read in"
          note="hair, wax, strips, sheets"
          name="Unit of lengths"
          value={draft.lengthUnit}
          units={{ mm: 'millimetres', in: 'inches' }}
          onChange={(lengthUnit) => set({ lengthUnit })}
        />
        <ReadIn
          words="Weights are read in"
          note="wax, paste, packs"
          name="Unit of weights"
          value={draft.weightUnit}
          units={{ g: 'grams', oz: 'ounces' }}
          onChange={(weightUnit) => set({ weightUnit })}
        />
        <label className={styles.price}>
          <span>
            Room heat, usually<small className="quiet">pots cool and paste sets by it</small>
          </span>
          <HeatField
            aria-label="Room heat"
            min={5}
            max={45}
            value={draft.roomC}
            onChange={(v) => set({ roomC: v ?? draft.roomC })}
          />
        </label>
        <label className={styles.price}>
          <span>
            Humidity, usually<small className="quiet">for powder and paste</small>
          </span>
          <InputNumber
            aria-label="Humidity"
            min={0}
            max={100}
            value={draft.humidityPct}
            onChange={(v) => set({ humidityPct: v ?? draft.humidityPct })}
            suffix="%"
          />
        </label>
      </div>
      <div>
        <Button
          type="primary"
          size="large"
          disabled={!isChanged || draft.name.trim() === ''}
          onClick={() =>
            void act({ studio: { ...draft, name: draft.name.trim(), version: house.studioVersion } }, 'Saved.')
          }
        >
          Save
        </Button>
      </div>
    </section>
  );
}

interface ReadInProps<U extends string> {
  readonly words: string;
  readonly note: string;
  readonly name: string;
  readonly value: U;
  readonly units: Readonly<Record<U, string>>;
  readonly onChange: (unit: U) => void;
}

/** One kind of figure and the unit that it is read in. */
function ReadIn<U extends string>({ words, note, name, value, units, onChange }: ReadInProps<U>) {
  return (
    <label className={styles.price}>
      <span>
        {words}
        <small className="quiet">{note}</small>
      </span>
      <Select<U>
        aria-label={name}
        value={value}
        onChange={onChange}
        options={(Object.keys(units) as U[]).map((unit) => ({ value: unit, label: units[unit] }))} // its own keys
      />
    </label>
  );
}
