// The answer to "what if", in two sentences: what it likely brings in a year, and where it breaks even.

import {
  honestYear,
  lostBeforeNothing,
  tableBreaksEven,
  type Question,
  type WhatIfInput,
  type WhatIfPoint,
} from '@/core/ledger';
import type { Money } from '@/ui/money';

export const QUESTION_WORDS: Readonly<Record<Question, string>> = {
  price: 'Price',
  minutes: 'Minutes',
  product: 'Product',
  table: 'Another table',
};

export const xWords = (question: Question, x: number, money: Money): string =>
  ({
    price: `${money.say(x)} a place`,
    minutes: `${Math.round(x)} min a place`,
    product: `on ${Math.round(x)} % of places`,
    table: `${Math.round(x)} % of it taken`,
  })[question];

/** To two figures: what is not known better is not said better. */
function about(minor: number, money: Money): string {
  const unit = 10 ** money.digits;
  const whole = Math.abs(minor) / unit;
  const fine = 10 ** Math.max(0, Math.floor(Math.log10(Math.max(1, whole))) - 1);
  return money.short(Math.round(whole / fine) * fine * unit);
}

function difference(here: WhatIfPoint, nowMinor: number, money: Money): string {
  const more = here.likelyMinor - nowMinor;
  const [worst, best] = [here.worstMinor - nowMinor, here.bestMinor - nowMinor];
  const unit = 10 ** money.digits;
  if (Math.abs(more) < 20 * unit) return 'about the same as now';
  const says = `about ${about(more, money)} a year ${more > 0 ? 'more' : 'less'}`;
  const isOpen = Math.sign(worst) !== Math.sign(best) && Math.abs(worst) > 20 * unit;
  return isOpen
    ? `${says}, but it may also be ${about(more > 0 ? worst : best, money)} ${more > 0 ? 'less' : 'more'}`
    : says;
}

const oneIn = (share: number): string =>
  share > 50 ? `${Math.round(share)} of 100` : `1 in ${Math.round(100 / share)}`;

function breakEven(question: Question, here: WhatIfPoint, input: WhatIfInput): string {
  const { now } = input;
  if (question === 'price') {
    const lost = lostBeforeNothing(now, here.x);
    return lost === null ? '' : `Nothing is won if ${oneIn(lost)} stops coming.`;
  }
  if (question === 'table') {
    const even = tableBreaksEven(input);
    if (even === null) return 'Even a full table does not pay its hands.';
    return `It pays its hands from ${Math.ceil(even)} % on.`;
  }
  if (question === 'minutes') {
    return here.x < now.minutes ? 'Only if the places that this makes are taken.' : 'The same hours hold fewer places.';
  }
  const { minutesMore, materialsMoreMinor } = input.product;
  const time =
    minutesMore === 0
      ? 'as long'
      : `${Math.abs(Math.round(minutesMore))} min ${minutesMore > 0 ? 'longer' : 'shorter'}`;
  return `A place takes ${time} with it${materialsMoreMinor > 0 ? ' and costs more material' : ''}, by own visits.`;
}

export const answerWords = (question: Question, here: WhatIfPoint, input: WhatIfInput, money: Money): string =>
  `${difference(here, honestYear(input.now).leftMinor, money)}. ${breakEven(question, here, input)}`.trim();
