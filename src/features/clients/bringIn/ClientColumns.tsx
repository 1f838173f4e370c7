import {
  CLIENT_FIELD_NAMES,
  CLIENT_FIELDS,
  MASS_UNITS,
  STATURE_UNITS,
  type ClientGuess,
  type ClientMapping,
} from '@/formats/clientTable';
import { Choice, ColumnsPart, DatesPart } from './ColumnsPart';

export type OpenClients = Omit<ClientMapping, 'dates'> & { readonly dates: ClientMapping['dates'] | null };

/** What is sure enough to be looked at; the dates only where one reading fits, or there are none. */
export function begunWith({ columns, dates, statures, masses }: ClientGuess): OpenClients {
  const [only = null, ...others] = dates;
  const isDated = columns.born_on !== undefined || columns.consent_on !== undefined;
  const sure = others.length === 0 ? only : null;
  return { columns, statures, masses, dates: isDated ? sure : 'ymd' };
}

export const isWhole = (m: OpenClients | null): m is ClientMapping =>
  m !== null && m.dates !== null && m.columns.name !== undefined;

interface Props {
  readonly table: ClientGuess;
  readonly mapping: OpenClients;
  readonly onChange: (mapping: OpenClients) => void;
}

/** Which column of a table of clients holds what, how its dates are written, in which units. */
export function ClientColumns({ table, mapping, onChange }: Props) {
  const { columns, dates, statures, masses } = mapping;
  const set = (more: Partial<OpenClients>): void => onChange({ ...mapping, ...more });
  return (
    <>
      <ColumnsPart
        {...{
          fields: CLIENT_FIELDS,
          names: CLIENT_FIELD_NAMES,
          headings: table.headings,
          sample: table.sample,
          columns,
        }}
        onChange={(to) => set({ columns: to })}
      />
      {columns.born_on === undefined && columns.consent_on === undefined ? null : (
        <DatesPart fit={table.dates} value={dates} onChange={(to) => set({ dates: to })} />
      )}
      {columns.stature_cm === undefined ? null : (
        <Choice
          words="Heights without a unit are"
          options={STATURE_UNITS.map((value) => ({ value, label: value }))}
          value={statures}
          onChange={(to) => set({ statures: to })}
        />
      )}
      {columns.mass_kg === undefined ? null : (
        <Choice
          words="Weights without a unit are"
          options={MASS_UNITS.map((value) => ({ value, label: value }))}
          value={masses}
          onChange={(to) => set({ masses: to })}
        />
      )}
    </>
  );
}
