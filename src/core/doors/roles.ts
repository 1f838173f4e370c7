// Who may do what: one table. Nothing here asks who somebody is; that is the server's.
// The desk sees no health notes; a trainee works as others do but does not go on in spite of a screening answer alone.

export const ROLES = ['owner', 'practitioner', 'trainee', 'desk'] as const;
export type Role = (typeof ROLES)[number];

export const MAYS = {
  book: {
    words: 'days, bookings, names and telephone numbers, messages',
    roles: ['owner', 'practitioner', 'trainee', 'desk'],
  },
  care: { words: 'cards with health notes, visits, charts, forms', roles: ['owner', 'practitioner', 'trainee'] },
  override: { words: 'go on in spite of a screening answer', roles: ['owner', 'practitioner'] },
  goods: { words: 'pots and kitchen', roles: ['owner', 'practitioner', 'trainee'] },
  shelf: { words: 'the shelf, orders', roles: ['owner', 'practitioner', 'trainee', 'desk'] },
  till: { words: 'sales, the day’s close', roles: ['owner', 'practitioner', 'desk'] },
  sums: { words: 'the ledger’s sums and book', roles: ['owner', 'practitioner'] },
  practise: { words: 'strips, questions, examinations', roles: ['owner', 'practitioner', 'trainee'] },
  examine: { words: 'examine others, the board', roles: ['owner', 'practitioner'] },
  read: { words: 'read how the house does it: products, rules, texts', roles: ['owner', 'practitioner', 'trainee'] },
  house: { words: 'change the studio: people, prices, products, rules, texts, hours', roles: ['owner'] },
  tables: { words: 'take the card index out or in, erase a card', roles: ['owner'] },
  trail: { words: 'read the trail', roles: ['owner'] },
} as const satisfies Readonly<Record<string, { readonly words: string; readonly roles: readonly Role[] }>>;
export type May = keyof typeof MAYS;

export const may = (role: Role, what: May): boolean => (MAYS[what].roles as readonly Role[]).includes(role);

/** What is said to whom may not. */
export const mayNotWords = (what: May): string => {
  const { roles, words } = MAYS[what];
  return `Not yours to open: ${words}. Ask ${roles.includes('practitioner' as never) ? 'a practitioner' : 'the owner'}.`;
};

/** Minutes without a touch after which a tablet asks who is there, by role; never while wax is on skin. */
export const REST_AFTER_MIN: Readonly<Record<Role, number>> = { owner: 10, practitioner: 15, trainee: 10, desk: 5 };

/** Who has signed in, as a page shows it. */
export interface Who {
  /** What may be done here; everything where nobody signs in. */
  readonly role: Role;
  /** Who has signed in; null where nobody has to. */
  readonly id: string | null;
  readonly name: string | null;
  /** Minutes without a touch after which the tablet rests; null = never. */
  readonly restAfterMin: number | null;
  /** Who may vouch for a trainee. */
  readonly seconds: readonly { readonly id: string; readonly name: string }[];
}
