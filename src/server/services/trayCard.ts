// The tray card of a visit: what lies in the tray, on paper. First name and initial; nothing of health.

import 'server-only';
import { ok } from '../../core/shared';
import { itemWords } from '../../formats/trayWords';
import { dateAndTimeInWords } from '../clock';
import type { Db } from '../db/openDatabase';
import { notFound, refused, type ServiceResult } from '../errors';
import { clientName, readBooking } from '../repos/clientRepo';
import { readPerson, readStudio } from '../repos/studioRepo';
import { shortName } from './calendars';
import { saidWays } from './houseWays';
import { planOfBooking } from './today';
import { zonesInWords } from './zonesInWords';

export interface TrayCard {
  readonly name: string;
  readonly when: string;
  readonly what: string;
  readonly heats: readonly { readonly product: string; readonly tempC: number }[];
  readonly strips: number;
  readonly minutes: number;
  readonly items: readonly { readonly name: string; readonly amount: string }[];
  /** Ways of this house that are not the usual ones. */
  readonly house: readonly string[];
}

export function trayCard(db: Db, bookingId: string, nowMs: number): ServiceResult<TrayCard> {
  const booking = readBooking(db, bookingId);
  const studio = readStudio(db);
  if (!booking || !studio) return notFound('booking');
  const plan = planOfBooking(db, booking, nowMs);
  if (!plan || plan.materials.length === 0) {
    return refused('Nothing is planned yet for this visit: look at it first.', 'booking');
  }
  const warmest = new Map<string, number>();
  for (const { choice, heat } of plan.zones) {
    if (choice && heat) warmest.set(choice.product, Math.max(warmest.get(choice.product) ?? 0, heat.workingC.target));
  }
  const person = readPerson(db, booking.personId)?.name ?? '';
  return ok({
    name: shortName(clientName(db, booking.clientId)),
    when: `${dateAndTimeInWords(booking.startsAtMs, studio.timeZone)}, ${person}`,
    what: zonesInWords(booking.zones),
    heats: [...warmest].map(([item, tempC]) => ({
      product: itemWords({ item, amount: 1, unit: 'piece' }).name,
      tempC: Math.round(tempC),
    })),
    strips: plan.zones.reduce((s, z) => s + z.strips.filter((strip) => strip.pass === 1).length, 0),
    minutes: Math.round(plan.time.allMinutes),
    items: plan.materials.map(itemWords),
    house: saidWays(db),
  });
}
