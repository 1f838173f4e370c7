export { ROUNDING_RULE, currencyDigits, dividedMinor, shareMinor, splitMinor, vatInside } from './rounding';
export { KINDS, PAID, creditsIn, earnedOf, isCredit, owedOf, packagePart, sumsOf, undoing, vatOf } from './entries';
export type { Credit, CreditKind, Entry, Kind, Paid, Sums } from './entries';
export { hoursEarned, hourOf } from './hourEarned';
export type { DonePart, HourEarned, ServiceHour } from './hourEarned';
export { honestYear, LOSSES, WEEKS } from './honestYear';
export type { HonestYear, LossName, YearFacts } from './honestYear';
export { QUESTIONS, lostBeforeNothing, tableBreaksEven, whatIfAt, whatIfNow, whatIfRange } from './whatIf';
export type { ProductEffect, Question, TableFacts, WhatIfInput, WhatIfPoint } from './whatIf';
