import { sized } from '../../formats/size';
import { currencyDigits } from '../../core/ledger';
import type { PastVisitRow } from '../repos/importRepo';

const money = (minor: number, currency: string): string =>
  new Intl.NumberFormat('en', { style: 'currency', currency }).format(minor / 10 ** currencyDigits(currency));

type Told = Pick<PastVisitRow, 'what' | 'product' | 'minutes' | 'lengthMm' | 'paidMinor' | 'words'>;

/** What a table told of a visit, on one line; what it did not tell is not said. */
export const pastWords = ({ what, product, minutes, lengthMm, paidMinor, words }: Told, currency: string): string =>
  [
    what,
    product,
    minutes === null ? '' : `${minutes} min`,
    lengthMm === null ? '' : `hair ${sized(lengthMm, 'mm')}`,
    paidMinor === null ? '' : `paid ${money(paidMinor, currency)}`,
    words,
  ]
    .filter((t) => t !== '')
    .join(' · ');
