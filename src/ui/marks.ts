// Marks of people: the fewest letters of the name that nobody else here begins with.

interface Person {
  readonly id: string;
  readonly name: string;
}
const MOST_LETTERS = 3;

const begins = ({ name }: Person, letters: number): string => [...name].slice(0, letters).join('');
const isAlike = (a: Person, b: Person, letters: number): boolean =>
  begins(a, letters).toLowerCase() === begins(b, letters).toLowerCase();

/** The fewest letters that nobody else begins with; null where three do not do. */
function ownLetters(people: readonly Person[], person: Person): string | null {
  for (let letters = 1; letters <= MOST_LETTERS; letters++) {
    if (people.every((p) => p === person || !isAlike(p, person, letters))) return begins(person, letters);
  }
  return null;
}

/** Ines and Ivo are `In` and `Iv`, Bao is `B`; who shares three letters with somebody is numbered, in their order. */
export function markOf(people: readonly Person[], id: string): string {
  const person = people.find((p) => p.id === id);
  if (!person) return '?';
  const own = ownLetters(people, person);
  if (own !== null) return own;
  // all of one initial are counted through: two families of names must not both have a first
  const numbered = people.filter((p) => isAlike(p, person, 1) && ownLetters(people, p) === null);
  return `${begins(person, 1)}${numbered.indexOf(person) + 1}`;
}
