import { Alert, Segmented, Select } from 'antd';
import {
  DATE_WORDS,
  FIELD_NAMES,
  PAST_FIELDS,
  type PastField,
  type PastGuess,
  type PastMapping,
} from '@/formats/pastCsv';
import { DATE_STYLES, LENGTH_UNITS, TIME_UNITS, type DateStyle } from '@/formats/tableGuess';
import styles from '../Clients.module.css';

type Open = Omit<PastMapping, 'dates'> & { readonly dates: DateStyle | null };

interface Props {
  readonly table: PastGuess;
  readonly mapping: Open;
  readonly onChange: (mapping: Open) => void;
}

const NONE = -1;
const MOST_LETTERS = 28;
const cut = (text: string): string => (text.length > MOST_LETTERS ? `${text.slice(0, MOST_LETTERS)} …` : text);

/** The heading of a column with its first cell, so that one sees what it is. */
const optionsOf = ({ headings, sample }: PastGuess) => [
  { value: NONE, label: 'not in this table' },
  ...headings.map((h, value) => ({ value, label: `${h || `column ${value + 1}`}: ${cut(sample[0]?.[value] ?? '')}` })),
];

/** Which column holds what, how the dates are written, in which units. */
export function MappingPart({ table, mapping, onChange }: Props) {
  const { columns, dates, lengths, times } = mapping;
  const options = optionsOf(table);
  const put = (field: PastField, at: number): void => {
    const rest = Object.fromEntries(Object.entries(columns).filter(([f]) => f !== field));
    onChange({ ...mapping, columns: at === NONE ? rest : { ...rest, [field]: at } });
  };
  const isDoubtful = columns.on !== undefined && dates === null;
  return (
    <>
      <div className={styles.mapping}>
        {PAST_FIELDS.map((field) => (
          <label key={field}>
            {FIELD_NAMES[field]}
            <Select
              aria-label={FIELD_NAMES[field]}
              value={columns[field] ?? NONE}
              options={options}
              onChange={(at) => put(field, at)}
            />
          </label>
        ))}
      </div>
      {isDoubtful ? (
        <Alert
          type="warning"
          role="alert"
          title={
            table.dates.length > 1
              ? 'These dates can be read in more than one way: say which is right.'
              : 'No date of this column can be read: choose the right column, or say how its dates are written.'
          }
        />
      ) : null}
      {columns.on === undefined ? null : (
        <div className={styles.row}>
          <span>Dates are written</span>
          <div className={styles.wide}>
            <Segmented
              aria-label="Dates are written"
              options={DATE_STYLES.map((value) => ({ value, label: DATE_WORDS[value] }))}
              value={dates}
              onChange={(to) => onChange({ ...mapping, dates: to })}
            />
          </div>
        </div>
      )}
      {columns.minutes === undefined ? null : (
        <div className={styles.row}>
          <span>Times without a unit are</span>
          <div className={styles.wide}>
            <Segmented
              aria-label="Times without a unit are"
              options={TIME_UNITS.map((value) => ({ value, label: value === 'min' ? 'minutes' : 'hours' }))}
              value={times}
              onChange={(to) => onChange({ ...mapping, times: to })}
            />
          </div>
        </div>
      )}
      {columns.length === undefined ? null : (
        <div className={styles.row}>
          <span>Lengths without a unit are</span>
          <div className={styles.wide}>
            <Segmented
              aria-label="Lengths without a unit are"
              options={[...LENGTH_UNITS]}
              value={lengths}
              onChange={(to) => onChange({ ...mapping, lengths: to })}
            />
          </div>
        </div>
      )}
    </>
  );
}
