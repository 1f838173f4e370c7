export { inOrder, isPast, sellable, take, usable } from './lots';
export type { Lot } from './lots';
export { forecast, orderBy, packsFor } from './forecast';
export type { Forecast, Use } from './forecast';
