import { expect, it } from 'vitest';
import type { Agreed } from '@/server/db/schema';
import { choiceOf, fading, withChoice } from './agreed';

const none: Agreed = { howMuch: [], coldPack: false, company: 'either', tweezing: true, words: '' };
const zones = [
  { zone: 'brow', side: 'left' },
  { zone: 'brow', side: 'right' },
  { zone: 'chest', side: 'middle' },
] as const;

it('writes both sides of what was agreed and nothing of what nobody spoke of', () => {
  const agreed = withChoice(none, zones, 'brow', 'tidy');
  expect(agreed.howMuch).toEqual([
    { zone: 'brow', side: 'left', choice: 'tidy' },
    { zone: 'brow', side: 'right', choice: 'tidy' },
  ]);
  expect(withChoice(agreed, zones, 'chest', 'middle-only').howMuch).toHaveLength(3);
  expect(choiceOf(agreed, { zone: 'chest', side: 'middle' })).toBe('all');
});
it('reads a choice that is offered no more as what takes its place, and lets a border fade or end', () => {
  const old: Agreed = { ...none, howMuch: [{ zone: 'chest', side: 'middle', choice: 'middle' }] };
  expect(choiceOf(old, { zone: 'chest', side: 'middle' })).toBe('middle-only');
  const back = [{ zone: 'upper-back', side: 'middle' }] as const;
  expect(fading(none, back, 'upper-back', true).howMuch[0]?.choice).toBe('fade');
  expect(fading(none, [{ zone: 'shoulder', side: 'left' }], 'shoulder', false).howMuch[0]?.choice).toBe('line');
});
