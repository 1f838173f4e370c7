import { InputNumber, type InputNumberProps } from 'antd';
import type { ShelfRow } from '@/server/services/shelf';
import { SizeField } from '@/ui/SizeField.client';

interface Props extends Omit<InputNumberProps<number>, 'value' | 'onChange' | 'min' | 'max' | 'suffix' | 'step'> {
  readonly unit: ShelfRow['unit'] | undefined;
  readonly value: number | null;
  readonly onChange: (amount: number | null) => void;
  readonly min: number;
}
const MOST = 1_000_000;

/** So much of a thing, in whole units: what is weighed is typed as the studio reads weights. */
export const AmountField = ({ unit, ...rest }: Props) =>
  unit === 'g' ? (
    <SizeField {...rest} of="g" max={MOST} whole />
  ) : (
    <InputNumber<number> {...rest} max={MOST} precision={0} suffix={unit ?? ''} />
  );
