import { describe, expect, it } from 'vitest';
import { fillTemplate, templateFault } from './messageTemplate';

const VALUES = {
  name: 'Alma',
  when: 'Friday at ten',
  who: 'Ines',
  minutes: '45',
  studio: 'At the Weir',
  before: 'No sun.',
};

describe('the words of a message', () => {
  it('are filled place by place; what is filled in is no place', () => {
    expect(fillTemplate('Dear {name}, {when} with { who }: {minutes} min.', VALUES)).toBe(
      'Dear Alma, Friday at ten with Ines: 45 min.',
    );
    expect(fillTemplate('{name} {when}', { ...VALUES, name: '{when}' })).toBe('{when} Friday at ten');
  });
  it('of a reminder must name the time and what has to be left before it', () => {
    expect(templateFault('reminder', 'See you {when}.\n{before}')).toBeNull();
    expect(templateFault('reminder', 'See you {when}.')).toContain('{before} is missing');
    expect(templateFault('reminder', '{before}')).toContain('{when} is missing');
    expect(templateFault('offer', 'Free: {when}')).toBeNull();
    expect(templateFault('reminder', '  ')).toBeNull();
  });
  it('are refused with a place that there is none of, or a brace alone', () => {
    expect(templateFault('offer', '{when} {before}')).toContain('{before} is no place');
    expect(templateFault('offer', '{when} {price}')).toContain('{price} is no place');
    expect(templateFault('offer', '{when} {')).toContain('A brace stands alone');
  });
});
