import { sized } from '../../formats/size';
import type { PastVisitRow } from '../repos/importRepo';

/** What a table told of a visit, on one line; what it did not tell is not said. */
export const pastWords = ({
  what,
  product,
  minutes,
  lengthMm,
  words,
}: Pick<PastVisitRow, 'what' | 'product' | 'minutes' | 'lengthMm' | 'words'>): string =>
  [
    what,
    product,
    minutes === null ? '' : `${minutes} min`,
    lengthMm === null ? '' : `hair ${sized(lengthMm, 'mm')}`,
    words,
  ]
    .filter((t) => t !== '')
    .join(' · ');
