// The one name of a zone with its side, as key of maps and in what is said of both: `underarm/left`.

export const zoneKey = (at: { readonly zone: string; readonly side: string }): string => `${at.zone}/${at.side}`;
