export interface LanNames {
  readonly names: readonly string[];
  readonly ips: readonly string[];
}
export function lanNames(): LanNames;
export function certificate(
  folder: string,
  own: LanNames,
  nowMs?: number,
): Promise<{ readonly key: string; readonly cert: string; readonly authority: string; readonly isNew: boolean }>;
