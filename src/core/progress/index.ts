export { trendOf } from './trend';
export type { Trend, TrendPoint } from './trend';
export { progressWords } from './progressWords';
