import { FIELD_NAMES, PAST_FIELDS, type PastGuess, type PastMapping } from '@/formats/pastCsv';
import { LENGTH_UNITS, TIME_UNITS, type DateStyle } from '@/formats/tableGuess';
import { Choice, ColumnsPart, DatesPart } from './ColumnsPart';

type Open = Omit<PastMapping, 'dates'> & { readonly dates: DateStyle | null };

interface Props {
  readonly table: PastGuess;
  readonly mapping: Open;
  readonly onChange: (mapping: Open) => void;
}

/** Which column of a table of visits holds what, how the dates are written, in which units. */
export function MappingPart({ table, mapping, onChange }: Props) {
  const { columns, dates, lengths, times } = mapping;
  const set = (more: Partial<Open>): void => onChange({ ...mapping, ...more });
  return (
    <>
      <ColumnsPart
        {...{ fields: PAST_FIELDS, names: FIELD_NAMES, headings: table.headings, sample: table.sample, columns }}
        onChange={(to) => set({ columns: to })}
      />
      {columns.on === undefined ? null : (
        <DatesPart fit={table.dates} value={dates} onChange={(to) => set({ dates: to })} />
      )}
      {columns.minutes === undefined ? null : (
        <Choice
          words="Times without a unit are"
          options={TIME_UNITS.map((value) => ({ value, label: value === 'min' ? 'minutes' : 'hours' }))}
          value={times}
          onChange={(to) => set({ times: to })}
        />
      )}
      {columns.length === undefined ? null : (
        <Choice
          words="Lengths without a unit are"
          options={LENGTH_UNITS.map((value) => ({ value, label: value }))}
          value={lengths}
          onChange={(to) => set({ lengths: to })}
        />
      )}
    </>
  );
}
