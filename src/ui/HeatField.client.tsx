'use client';

import { InputNumber, type InputNumberProps } from 'antd';
import { heatSign, heatTyped, readHeat } from '@/formats/heat';

interface Props extends Omit<InputNumberProps<number>, 'value' | 'onChange' | 'min' | 'max' | 'suffix'> {
  /** °C; null = nothing typed. */
  readonly value: number | null;
  readonly onChange: (tempC: number | null) => void;
  readonly min: number;
  readonly max: number;
  readonly sign?: boolean;
}

/** A heat, typed in the unit that the studio reads; inside it is °C. */
export const HeatField = ({ value, onChange, min, max, sign = true, ...rest }: Props) => (
  <InputNumber<number>
    {...rest}
    min={Math.floor(readHeat(min))}
    max={Math.ceil(readHeat(max))}
    value={value === null ? null : Number(readHeat(value).toFixed(1))}
    onChange={(v) => onChange(v === null ? null : heatTyped(v))}
    {...(sign ? { suffix: heatSign() } : {})}
  />
);
