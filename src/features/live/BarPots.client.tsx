'use client';

import { Link } from '@/ui/Link';
import type { LivePot } from '@/server/pots/livePot';
import { heatFigure, sourceWords, wayWords, windowWords } from './potWords';
import { usePots } from './livePots';
import { WayArrow } from './WayArrow';
import styles from './Live.module.css';

/** So many have room in the bar. */
const MOST = 3;

/** What concerns the next visits stands first, then what is on. */
const rank = (pot: LivePot): number => {
  if (pot.isOverSet || pot.next?.at === 'over') return 0;
  return pot.next ? 1 : 2;
};

/** The first word of a name, where it tells the pots apart. */
function shortName(pot: LivePot, among: readonly LivePot[]): string {
  const first = (name: string): string => name.split(/[ ,]/)[0] ?? name;
  return among.filter((p) => first(p.name) === first(pot.name)).length > 1 ? pot.name : first(pot.name);
}

/** The pots in the bar: how warm, which way, and a mark for the window of the next visit. */
export function BarPots({ first, timeZone }: { readonly first: readonly LivePot[]; readonly timeZone: string }) {
  const { pots, isOld } = usePots(first);
  const seen = pots.filter((p) => (p.tempC !== null || p.isSilent) && (p.setC !== null || p.next !== null));
  const shown = [...seen].sort((a, b) => rank(a) - rank(b)).slice(0, MOST);
  if (shown.length === 0) return null;
  return (
    <ul className={styles.barPots} data-old={isOld} aria-label="Pots">
      {shown.map((pot) => {
        const said = [pot.name, heatFigure(pot.tempC), wayWords(pot), sourceWords(pot, timeZone)];
        const words = isOld
          ? `${pot.name}: not heard of for a while`
          : said.concat(windowWords(pot, timeZone)).join(', ');
        return (
          <li key={pot.id}>
            <Link
              href="/pots"
              title={words}
              aria-label={words}
              data-at={isOld ? undefined : pot.next?.at}
              data-hot={pot.isOverSet}
            >
              <span>{shortName(pot, shown)}</span>
              <b>{isOld ? '–' : heatFigure(pot.tempC)}</b>
              {pot.way && !isOld ? <WayArrow way={pot.way} /> : null}
              <i aria-hidden="true" />
            </Link>
          </li>
        );
      })}
    </ul>
  );
}
