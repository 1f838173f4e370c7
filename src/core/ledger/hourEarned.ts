// What an hour of each service earns: what came for it, without the tax inside, less its material and the room; the
// turnover counts as time. Hard, soft and sugar side by side where the studio has worked with several.

import { FAMILIES, type Family } from '../anatomy';

/** One service at one visit. */
export interface DonePart {
  readonly service: string;
  /** Null where it was worked with several. */
  readonly family: Family | null;
  /** Of the visit's time, turnover included, min. */
  readonly minutes: number;
  readonly materialsMinor: number;
  /** What came for it, tax taken off. */
  readonly netMinor: number;
}

export interface HourEarned {
  readonly visits: number;
  /** In the mean, min. */
  readonly minutes: number;
  readonly perHourMinor: number;
}
export interface ServiceHour extends HourEarned {
  readonly service: string;
  readonly families: readonly ({ readonly family: Family } & HourEarned)[];
}

/** Costs are rounded up and what is left down, so that nothing looks better than it is. Null without any time. */
export function hourOf(parts: readonly DonePart[], roomMinorPerHour: number): HourEarned | null {
  const minutes = parts.reduce((s, p) => s + p.minutes, 0);
  if (minutes <= 0) return null;
  const sum = (of: (p: DonePart) => number): number => parts.reduce((s, p) => s + of(p), 0);
  const left = sum((p) => p.netMinor) - sum((p) => p.materialsMinor) - Math.ceil((minutes * roomMinorPerHour) / 60);
  return {
    visits: parts.length,
    minutes: minutes / parts.length,
    perHourMinor: Math.floor((left * 60) / minutes),
  };
}

/** Each service that was done, what earns most first. */
export function hoursEarned(parts: readonly DonePart[], roomMinorPerHour: number): readonly ServiceHour[] {
  const byService = new Map<string, DonePart[]>();
  for (const part of parts) {
    const own = byService.get(part.service);
    if (own) own.push(part);
    else byService.set(part.service, [part]);
  }
  return [...byService]
    .flatMap(([service, own]): readonly ServiceHour[] => {
      const all = hourOf(own, roomMinorPerHour);
      if (!all) return [];
      const families = FAMILIES.flatMap((family) => {
        const hour = hourOf(
          own.filter((p) => p.family === family),
          roomMinorPerHour,
        );
        return hour ? [{ family, ...hour }] : [];
      });
      return [{ service, ...all, families }];
    })
    .sort((a, b) => b.perHourMinor - a.perHourMinor || a.service.localeCompare(b.service));
}
