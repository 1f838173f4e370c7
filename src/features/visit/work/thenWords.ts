import type { LiveTable } from '@/core/hands';
import type { PlanZone } from '@/core/plan';
import type { FoundStrip } from './useTable';

const DO = { pull: 'pull', coat: 'coat', lay: 'lay' } as const;

/** What comes next in five words at most: `Then pull 3, lay 4`. Empty where nothing does. */
export function thenWords(
  { ahead }: Pick<LiveTable, 'ahead'>,
  found: ReadonlyMap<string, FoundStrip>,
  here: PlanZone | undefined,
): string {
  const name = (id: string): string => {
    const info = found.get(id);
    if (!info) return '';
    const side = info.zone.side === 'middle' || info.zone.side === here?.side ? '' : ` ${info.zone.side}`;
    return `${info.strip.number}${side}`;
  };
  const said = ahead.slice(0, 2).map((a) => `${a.walkS > 0 ? 'walk, ' : ''}${DO[a.kind]} ${name(a.strip)}`);
  return said.length > 0 ? `Then ${said.join(', ')}` : '';
}
