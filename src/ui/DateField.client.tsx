'use client';

import { DatePicker } from 'antd';
import dayjs from 'dayjs';

interface Props {
  /** Civil date, `YYYY-MM-DD`; empty = none. Absent inside a form, which gives both. */
  readonly value?: string | null | undefined;
  readonly onChange?: (date: string) => void;
  readonly 'aria-label'?: string;
  readonly id?: string;
  readonly max?: string;
  readonly min?: string;
  readonly className?: string | undefined;
  readonly disabled?: boolean;
  /** Shown while no day is chosen: how one is written, or what none means. */
  readonly placeholder?: string;
}

/** Shown with the month as a word, so that no day is taken for a month; typed so or as 2027-05-31. */
const FORMATS = ['D MMM YYYY', 'D MMMM YYYY', 'YYYY-MM-DD'];

/** A civil date, typed or taken from a calendar. */
export function DateField({ value, onChange, max, min, className, placeholder = '31 May 1990', ...rest }: Props) {
  return (
    <DatePicker
      {...rest}
      className={className ?? ''}
      format={FORMATS}
      placeholder={placeholder}
      value={value ? dayjs(value) : null}
      onChange={(day) => onChange?.(day ? day.format('YYYY-MM-DD') : '')}
      {...(max === undefined ? {} : { maxDate: dayjs(max) })}
      {...(min === undefined ? {} : { minDate: dayjs(min) })}
    />
  );
}
