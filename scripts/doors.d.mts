export const MOST_BYTES: number;
export interface AskedAtTheDoor {
  readonly method: string;
  readonly url: string;
  readonly headers: Readonly<Record<string, string | undefined>>;
}
export interface TurnedAway {
  readonly status: number;
  readonly code: string;
  readonly message: string;
  readonly location?: string;
}
export function turnedAway(request: AskedAtTheDoor, port: number, lan?: readonly string[]): TurnedAway | null;
