'use client';

import { InputNumber, type InputNumberProps } from 'antd';
import { useState } from 'react';
import { readSize, sizeSign, sizeTyped, type Size } from '@/formats/size';

interface Props extends Omit<InputNumberProps<number>, 'value' | 'onChange' | 'min' | 'max' | 'suffix' | 'step'> {
  /** What it is kept in. */
  readonly of: Size;
  /** Null = nothing typed. */
  readonly value: number | null;
  readonly onChange: (value: number | null) => void;
  readonly min: number;
  readonly max: number;
  /** Step in what it is kept in; another unit takes one of its own. */
  readonly step?: number;
  /** What is kept has no smaller parts than this. */
  readonly whole?: boolean;
}

/** As many digits as another unit is typed with, and the step of its arrows. */
const DIGITS = 2;
const OTHER_STEP = { in: 0.05, oz: 0.5, lb: 0.5 } as const;

/** A length or a weight, typed in the unit that the studio reads; inside it is mm, cm, g or kg. */
export const SizeField = ({ of, value, onChange, min, max, step, whole = false, ...rest }: Props) => {
  const sign = sizeSign(of);
  const isKept = sign === of;
  const [typed, setTyped] = useState<number | null>(null);
  const kept = (read: number): number => {
    const size = Math.min(max, Math.max(min, sizeTyped(read, of)));
    return whole ? Math.round(size) : size;
  };
  const shown = (size: number): number =>
    // ten ounces are kept as 283 g; while that stands the field says ten, not 9.98
    typed !== null && kept(typed) === size ? typed : Number(readSize(size, of).toFixed(DIGITS));
  return (
    <InputNumber<number>
      {...rest}
      min={isKept ? min : Math.floor(100 * readSize(min, of)) / 100}
      max={isKept ? max : Math.ceil(100 * readSize(max, of)) / 100}
      step={isKept ? (step ?? 1) : OTHER_STEP[sign as keyof typeof OTHER_STEP] /* signs other than its own */}
      value={value === null || isKept ? value : shown(value)}
      {...(isKept && whole ? { precision: 0 } : {})}
      onChange={(v) => {
        setTyped(v);
        onChange(v === null || isKept ? v : kept(v));
      }}
      suffix={sign}
    />
  );
};
