/** Ways of working as the comparison says them. */
export const WAYS: Readonly<Record<string, string>> = {
  with: 'with the growth',
  against: 'against the growth',
  free: 'two directions in turn',
  crossed: 'crossed lay, first against',
  counter: 'counter lay',
  across: 'across the growth',
  moulded: 'by hand, pulled with the growth',
  strip: 'thin, under cloth',
};
