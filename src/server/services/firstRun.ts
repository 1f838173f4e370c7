// The first run of an empty studio: six short steps to its first plan. Each is kept as it is taken; one may leave, come
// back and go on. What is not said yet stands as it was shipped.

import 'server-only';
import { eq } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import { hoursFault, USUAL_HOURS, type WeekHours } from '../../core/calendar';
import type { Product } from '../../core/products';
import { ok } from '../../core/shared';
import { atomically } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import { people, studio as studioTable } from '../db/schema';
import type { FirstRunSaid } from '../db/schema/documents';
import { EMPTY_PROFILE } from '../db/upSteps';
import { notFound, refused, type ServiceResult } from '../errors';
import { insertClient, readClient, updateClient } from '../repos/clientRepo';
import {
  allProducts,
  anyPin,
  readPeople,
  readStudio,
  setPin,
  setSettings,
  updateProduct,
  type StudioRow,
} from '../repos/studioRepo';
import { hashPin } from './pin';

export type FirstStep = FirstRunSaid['done'][number];

export interface FirstRun {
  readonly studioName: string;
  readonly currency: string;
  readonly timeZone: string;
  readonly person: { readonly id: string; readonly name: string; readonly hasPin: boolean };
  readonly products: readonly (Pick<Product, 'id' | 'name' | 'family' | 'form' | 'manners'> & {
    readonly isHere: boolean;
  })[];
  /** Whole, for the plan of the last step. */
  readonly catalogue: readonly Product[];
  readonly hours: WeekHours;
  readonly client: { readonly id: string; readonly name: string } | null;
  readonly done: readonly FirstStep[];
}

export type FirstAct =
  | { readonly name: { readonly name: string; readonly currency: string } }
  | { readonly you: { readonly name: string; readonly pin: string | null } }
  | { readonly shelf: { readonly products: readonly string[] } }
  | { readonly hours: WeekHours }
  | { readonly client: { readonly name: string } }
  | { readonly finish: true };

/** True while the first run is not over. */
export const isFirstRun = (db: Db): boolean => readStudio(db)?.settings.firstRun !== undefined;

export function loadFirstRun(db: Db): ServiceResult<FirstRun> {
  const studio = readStudio(db);
  const said = studio?.settings.firstRun;
  const [person] = readPeople(db);
  if (!studio || !said || !person) return notFound('first run');
  const products = allProducts(db);
  const client = said.clientId === null ? undefined : readClient(db, said.clientId);
  return ok({
    ...{ studioName: studio.name, currency: studio.currency, timeZone: studio.timeZone, done: said.done },
    person: { id: person.id, name: person.name, hasPin: person.pinHash !== null },
    products: products.map(({ data, stocked }) => {
      const { id, name, family, form, manners } = data.product;
      return { id, name, family, form, manners, isHere: stocked };
    }),
    catalogue: products.map((p) => p.data.product),
    hours: studio.settings.hours ?? USUAL_HOURS,
    client: client ? { id: client.id, name: client.name } : null,
  });
}

export function firstAct(db: Db, act: FirstAct, nowMs: number): ServiceResult<null> {
  return atomically(db, () => {
    const studio = readStudio(db);
    const said = studio?.settings.firstRun;
    if (!studio || !said) return refused('The first run is over: what it asked stands under Studio.');
    if ('name' in act) return takeName(db, studio, said, act.name);
    if ('you' in act) return takeYou(db, studio, said, act.you);
    if ('shelf' in act) return takeShelf(db, studio, said, act.shelf.products);
    if ('hours' in act) return takeHours(db, studio, said, act.hours);
    if ('client' in act) return takeClient(db, studio, said, act.client.name, nowMs);
    return keep(db, studio, { ...studio.settings, firstRun: undefined });
  });
}

function keep(db: Db, studio: StudioRow, settings: StudioRow['settings']): ServiceResult<null> {
  return setSettings(db, settings, studio.version) ? ok(null) : refused('The studio was changed elsewhere: try again.');
}

const withStep = (studio: StudioRow, said: FirstRunSaid, step: FirstStep, more: Partial<FirstRunSaid> = {}) => ({
  ...studio.settings,
  firstRun: { ...said, ...more, done: [...new Set([...said.done, step])] },
});

function takeName(
  db: Db,
  studio: StudioRow,
  said: FirstRunSaid,
  { name, currency }: { readonly name: string; readonly currency: string },
): ServiceResult<null> {
  db.update(studioTable).set({ name, currency }).where(eq(studioTable.id, 1)).run();
  return keep(db, studio, withStep(studio, said, 'name'));
}

function takeYou(
  db: Db,
  studio: StudioRow,
  said: FirstRunSaid,
  { name, pin }: { readonly name: string; readonly pin: string | null },
): ServiceResult<null> {
  const [person] = readPeople(db);
  if (!person) return notFound('person');
  // one that is there is changed with it, under People
  if (pin !== null && anyPin(db)) return refused('There is a PIN already.', 'you.pin');
  db.update(people).set({ name }).where(eq(people.id, person.id)).run();
  if (pin !== null) setPin(db, person.id, hashPin(pin));
  return keep(db, studio, withStep(studio, said, 'you'));
}

function takeShelf(db: Db, studio: StudioRow, said: FirstRunSaid, here: readonly string[]): ServiceResult<null> {
  const all = allProducts(db);
  const strange = here.find((id) => !all.some((p) => p.id === id));
  if (strange !== undefined) return refused(`There is no product "${strange}".`, 'shelf.products');
  if (here.length === 0) return refused('Without any wax nothing can be planned: tap at least one.', 'shelf.products');
  for (const p of all) updateProduct(db, p.data.product, here.includes(p.id), p.version);
  return keep(db, studio, withStep(studio, said, 'shelf'));
}

function takeHours(db: Db, studio: StudioRow, said: FirstRunSaid, hours: WeekHours): ServiceResult<null> {
  const fault = hoursFault(hours);
  if (fault !== null) return refused(fault, 'hours');
  return keep(db, studio, { ...withStep(studio, said, 'hours'), hours });
}

function takeClient(db: Db, studio: StudioRow, said: FirstRunSaid, name: string, nowMs: number): ServiceResult<null> {
  const known = said.clientId === null ? undefined : readClient(db, said.clientId);
  const id = known?.id ?? randomUUID();
  // taken a second time the name is mended, no second card is made
  if (known) updateClient(db, id, known.version, { name });
  else insertClient(db, { id, name, createdAtMs: nowMs, profile: EMPTY_PROFILE });
  return keep(db, studio, withStep(studio, said, 'client', { clientId: id }));
}
