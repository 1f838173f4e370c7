// What a path asks for, pages and routes alike. A path that is not in the table is nobody's: it is refused.

import type { May } from './roles';

/** `anybody` = also who has not signed in. */
export type Needed = May | 'anybody' | 'signed-in';

interface Place {
  readonly path: RegExp;
  /** For looking and for writing; one word for both. */
  readonly needs: Needed | { readonly look: Needed; readonly write: Needed };
}

/** `/api/clients/:id` and the like: an id is one part of a path. */
const place = (pattern: string, needs: Place['needs']): Place => ({
  path: new RegExp(`^${pattern.replaceAll(':id', '[^/]+').replaceAll('**', '.*')}$`),
  needs,
});

const READ_OR_HOUSE = { look: 'read', write: 'house' } as const;

/** The first that fits counts. */
const PLACES: readonly Place[] = [
  place('/door(?:/**)?', 'anybody'),
  place('/api/door(?:/**)?', 'anybody'),
  place('/api/health', 'anybody'),
  // a calendar program has no session: the private address is its secret
  place('/api/calendar/:id', 'anybody'),
  place('/me', 'signed-in'),
  place('/api/me', 'signed-in'),
  place('/api/events', 'signed-in'),

  // the desk
  place('/', 'book'),
  place('/(?:week|post|ready)', 'book'),
  place('/clients', 'book'),
  place('/clients/:id', 'book'),
  place('/clients/:id/progress', 'care'),
  place('/api/(?:week|ready|post)', 'book'),
  place('/api/post/:id', 'book'),
  place('/api/absences(?:/:id)?', 'book'),
  place('/api/waiting(?:/:id)?(?:/offer)?', 'book'),
  place('/api/bookings(?:/wanted|/:id|/:id/late|/:id/tray)?', 'book'),
  place('/api/people/:id/(?:calendar|feed)', 'book'),

  // cards and visits
  place('/api/clients', 'book'),
  place('/api/clients/(?:export|import)(?:/**)?', 'tables'),
  place('/api/uploads/:id', 'tables'),
  place('/api/clients/:id/(?:erase|merge|part)', 'tables'),
  place('/api/clients/:id', 'care'),
  place('/api/clients/:id/(?:patch-tests|progress|record|archive|consent)', 'care'),
  place('/visits/**', 'care'),
  place('/api/visits(?:/**)?', 'care'),
  place('/form/:id', 'care'),
  place('/api/forms/:id(?:/sign|/unlock)?', 'care'),

  // pots, shelf, money
  place('/(?:pots|kitchen)', 'goods'),
  place('/api/(?:pots|kitchen)(?:/**)?', 'goods'),
  place('/shelf', 'shelf'),
  place('/api/shelf(?:/**)?', 'shelf'),
  place('/ledger/day', 'till'),
  place('/ledger(?:/book)?', 'sums'),
  place('/api/ledger', 'till'),
  place('/api/ledger/(?:year|csv)', 'sums'),

  // practice
  place('/practice/exam/board', 'examine'),
  place('/practice/exam/:id/marks', 'examine'),
  place('/practice(?:/**)?', 'practise'),
  place('/api/practice/board', { look: 'practise', write: 'examine' }),
  place('/api/practice(?:/**)?', 'practise'),

  // the studio
  place('/studio/trail', 'trail'),
  place('/api/studio/trail(?:/**)?', 'trail'),
  place('/studio/(?:people|house|services|tablets|keeping)', 'house'),
  place('/studio', 'signed-in'),
  place('/studio/(?:ways|texts)', 'read'),
  place('/prices', 'sums'),
  place('/api/prices', { look: 'sums', write: 'house' }),
  place('/hours', 'book'),
  place('/api/hours', { look: 'book', write: 'house' }),
  place('/(?:products|rules)', 'read'),
  place('/products/:id', 'read'),
  place('/api/(?:products|rules)(?:/**)?', READ_OR_HOUSE),
  place('/api/studio/(?:ways|texts)', READ_OR_HOUSE),
  place('/api/studio(?:/(?:pin|sign-in|drill|tablets|pairing|authority|keeping|archive))?(?:/due)?', 'house'),
  place('/first', 'house'),
  place('/api/first', 'house'),
];

const LOOKS: readonly string[] = ['GET', 'HEAD', 'OPTIONS'];

/** What a request asks for; null where the table does not know its path. */
export function neededFor(method: string, path: string): Needed | null {
  const found = PLACES.find((p) => p.path.test(path));
  if (!found) return null;
  if (typeof found.needs === 'string') return found.needs;
  return LOOKS.includes(method) ? found.needs.look : found.needs.write;
}
