import type { LiveTable } from '@/core/hands';
import { readStep, type PlanZone } from '@/core/plan';
import type { FoundStrip } from './useTable';

const DO = { pull: 'pull', coat: 'coat', lay: 'lay' } as const;

/** What comes next in five words at most: `Then pull 3, lay 4`. Empty where nothing does. */
export function thenWords(
  { act, ahead }: Pick<LiveTable, 'act' | 'ahead'>,
  found: ReadonlyMap<string, FoundStrip>,
  here: PlanZone | undefined,
): string {
  if (act.kind === 'step') {
    const next = act.open.slice(1, 4).map((s) => STEP_NAMES[readStep(s).name] ?? readStep(s).name);
    return next.length > 0 ? `Then ${next.join(', ')}` : '';
  }
  const name = (id: string): string => {
    const info = found.get(id);
    if (!info) return '';
    const side = info.zone.side === 'middle' || info.zone.side === here?.side ? '' : ` ${info.zone.side}`;
    return `${info.strip.number}${side}`;
  };
  const said = ahead.slice(0, 2).map((a) => `${a.walkS > 0 ? 'walk, ' : ''}${DO[a.kind]} ${name(a.strip)}`);
  return said.length > 0 ? `Then ${said.join(', ')}` : '';
}

const STEP_NAMES: Readonly<Record<string, string>> = { skin: 'dry', light: 'bright light', look: 'mirror' };
