import { Alert, Segmented, Select } from 'antd';
import { DATE_WORDS } from '@/formats/pastCsv';
import { DATE_STYLES, type DateStyle } from '@/formats/tableGuess';
import styles from '../Clients.module.css';

const NONE = -1;
const MOST_LETTERS = 28;
const cut = (text: string): string => (text.length > MOST_LETTERS ? `${text.slice(0, MOST_LETTERS)} …` : text);

interface ColumnsProps<F extends string> {
  readonly fields: readonly F[];
  readonly names: Readonly<Record<F, string>>;
  readonly headings: readonly string[];
  readonly sample: readonly (readonly string[])[];
  readonly columns: Readonly<Partial<Record<F, number>>>;
  readonly onChange: (columns: Readonly<Partial<Record<F, number>>>) => void;
}

/** Which column holds what: each by its heading with its first cell, so that one sees what it is. */
export function ColumnsPart<F extends string>(props: ColumnsProps<F>) {
  const { fields, names, headings, sample, columns, onChange } = props;
  const options = [
    { value: NONE, label: 'not in this table' },
    ...headings.map((h, value) => ({
      value,
      label: `${h || `column ${value + 1}`}: ${cut(sample[0]?.[value] ?? '')}`,
    })),
  ];
  const put = (field: F, at: number): void => {
    const rest = Object.fromEntries(Object.entries(columns).filter(([f]) => f !== field));
    // keys of columns are fields
    onChange((at === NONE ? rest : { ...rest, [field]: at }) as Readonly<Partial<Record<F, number>>>);
  };
  return (
    <div className={styles.mapping}>
      {fields.map((field) => (
        <label key={field}>
          {names[field]}
          <Select
            aria-label={names[field]}
            value={columns[field] ?? NONE}
            options={options}
            onChange={(at) => put(field, at)}
          />
        </label>
      ))}
    </div>
  );
}

interface ChoiceProps<T extends string> {
  readonly words: string;
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly value: T | null;
  readonly onChange: (value: T) => void;
}

/** How cells are read that do not say so themselves. */
export function Choice<T extends string>({ words, options, value, onChange }: ChoiceProps<T>) {
  return (
    <div className={styles.row}>
      <span>{words}</span>
      <div className={styles.wide}>
        <Segmented<T | null>
          aria-label={words}
          options={[...options]}
          value={value}
          onChange={(v) => v && onChange(v)}
        />
      </div>
    </div>
  );
}

interface DatesProps {
  /** Styles that fit all dates of the table. */
  readonly fit: readonly DateStyle[];
  readonly value: DateStyle | null;
  readonly onChange: (value: DateStyle) => void;
}

/** How the dates of a table are written; where two readings fit, or none does, a person says. */
export function DatesPart({ fit, value, onChange }: DatesProps) {
  return (
    <>
      {value === null ? (
        <Alert
          type="warning"
          role="alert"
          title={
            fit.length > 1
              ? 'These dates can be read in more than one way: say which is right.'
              : 'No date of this column can be read: choose the right column, or say how its dates are written.'
          }
        />
      ) : null}
      <Choice
        words="Dates are written"
        options={DATE_STYLES.map((style) => ({ value: style, label: DATE_WORDS[style] }))}
        value={value}
        onChange={onChange}
      />
    </>
  );
}
