// What a visit earns: price less materials, the hands' time and the room's. Integer minor units; costs are rounded up,
// what is left over is rounded down, so that nothing looks better than it is.

export interface Rates {
  /** What an hour of the hands and of the room costs. */
  readonly labourMinorPerHour: number;
  readonly roomMinorPerHour: number;
}

export interface Margin {
  readonly priceMinor: number;
  readonly materialsMinor: number;
  readonly labourMinor: number;
  readonly roomMinor: number;
  /** Price less all of it; may be below nothing. */
  readonly marginMinor: number;
  readonly marginPerHourMinor: number;
}

/**
 * Margin of work that takes so many minutes (booked, not only at the table; more than none). Example: marginOf({
 * priceMinor: 3000, materialsMinor: 250, minutes: 30 }, { labourMinorPerHour: 2400, roomMinorPerHour: 900
 * }).marginMinor = 1100.
 */
export function marginOf(
  {
    priceMinor,
    materialsMinor,
    minutes,
  }: { readonly priceMinor: number; readonly materialsMinor: number; readonly minutes: number },
  rates: Rates,
): Margin {
  const share = (perHour: number): number => Math.ceil((Math.ceil(minutes) * perHour) / 60);
  const labourMinor = share(rates.labourMinorPerHour);
  const roomMinor = share(rates.roomMinorPerHour);
  const marginMinor = priceMinor - materialsMinor - labourMinor - roomMinor;
  return {
    priceMinor,
    materialsMinor,
    labourMinor,
    roomMinor,
    marginMinor,
    marginPerHourMinor: minutes > 0 ? Math.floor((marginMinor * 60) / Math.ceil(minutes)) : 0,
  };
}
