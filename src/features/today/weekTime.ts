import { instantOf } from '@/features/visit/return/instantOf';
import type { Place } from './weekMove';

/** `10:15` of a minute of the day. */
export const clockText = (min: number): string =>
  `${String(Math.floor(min / 60)).padStart(2, '0')}:${String(min % 60).padStart(2, '0')}`;

/** The instant of a place on the studio's wall clock. */
export const instantOfPlace = ({ on, startMin }: Pick<Place, 'on' | 'startMin'>, timeZone: string): number =>
  instantOf(on, clockText(startMin), timeZone) ?? 0;
