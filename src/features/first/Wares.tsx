'use client';

import { sized } from '@/formats/size';
import type { FirstRun } from '@/server/services/firstRun';
import styles from './First.module.css';

type Ware = FirstRun['products'][number];

interface Props {
  readonly wares: readonly Ware[];
  readonly here: ReadonlySet<string>;
  readonly onTap: (id: string) => void;
}

/** What may stand on the shelf, drawn on planks: dashed = not here, tapped = it stands there. */
export function Wares({ wares, here, onTap }: Props) {
  return (
    <ul className={styles.wares}>
      {wares.map((w) => {
        const [name, rest] = w.name.split(', ');
        const isHere = here.has(w.id);
        return (
          <li key={w.id}>
            <button type="button" className={styles.ware} aria-pressed={isHere} onClick={() => onTap(w.id)}>
              <Drawn form={w.form} isHere={isHere} />
              <strong>{name}</strong>
              <span className="quiet">
                {rest ?? w.form}, hair from {sized(shortestOf(w), 'mm')}
              </span>
              {isHere ? (
                <span className={styles.tick} aria-hidden="true">
                  ✓
                </span>
              ) : null}
            </button>
          </li>
        );
      })}
    </ul>
  );
}

/** The shortest hair that it holds in any manner, mm. */
export const shortestOf = ({ manners }: Pick<Ware, 'manners'>): number =>
  Math.min(...Object.values(manners).flatMap((m) => (m ? [m.shortestMm] : [])));

/** A bag of beads, a can, a tub or tablets, as they stand on a plank. */
function Drawn({ form, isHere }: { readonly form: Ware['form']; readonly isHere: boolean }) {
  const shape = {
    beads: 'M36 22 H84 L80 30 Q92 66 84 108 H36 Q28 66 40 30 Z',
    tablets: 'M32 44 H88 V104 Q60 112 32 104 Z',
    can: 'M38 34 H82 V108 H38 Z',
    tub: 'M34 46 H86 L82 108 H38 Z',
  }[shapeOf(form)];
  const lid = {
    beads: 'M38 30 H82',
    tablets: 'M32 44 Q60 54 88 44 Q60 34 32 44',
    can: 'M38 42 H82',
    tub: 'M34 46 V34 H86 V46',
  }[shapeOf(form)];
  return (
    <svg viewBox="0 0 120 120" className={styles.drawn} data-here={isHere} aria-hidden="true">
      {isHere ? <path d={shape} className={styles.fill} clipPath="inset(38% 0 0 0)" /> : null}
      <path d={shape} className={styles.line} />
      <path d={lid} className={styles.line} />
    </svg>
  );
}

const shapeOf = (form: string): 'beads' | 'tablets' | 'can' | 'tub' =>
  form === 'beads' || form === 'tablets' || form === 'can' ? form : 'tub';
