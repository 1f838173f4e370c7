// Marks of people: the fewest letters of the name that nobody else here begins with.

interface Person {
  readonly id: string;
  readonly name: string;
}
const MOST_LETTERS = 3;

/** Ines and Ivo are `In` and `Iv`, Bao is `B`; who shares three letters with somebody is numbered, in their order. */
export function markOf(people: readonly Person[], id: string): string {
  const person = people.find((p) => p.id === id);
  if (!person) return '?';
  const begins = (name: string, letters: number): string => [...name].slice(0, letters).join('');
  const shares = (letters: number): readonly Person[] =>
    people.filter((p) => begins(p.name, letters).toLowerCase() === begins(person.name, letters).toLowerCase());
  for (let letters = 1; letters <= MOST_LETTERS; letters++) {
    if (shares(letters).length === 1) return begins(person.name, letters);
  }
  return `${begins(person.name, 1)}${shares(MOST_LETTERS).indexOf(person) + 1}`;
}
