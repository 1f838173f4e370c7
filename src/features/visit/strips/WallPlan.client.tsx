'use client';

import { sized, sizeNumber, sizeSign } from '@/formats/size';
import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { createPortal, flushSync } from 'react-dom';
import { ZONES, zoneKey } from '@/core/anatomy';
import type { Plan } from '@/core/plan';
import type { BenchZone } from '@/server/services/bench';
import { dayMonthYear, degrees, sideWord } from '@/ui/words';
import { StripSheet, type StripLook } from './StripSheet';
import styles from './Strips.module.css';

const TAB_WORDS = { end: 'whole end', narrow: 'narrow end', hook: 'hook, at the side', stick: 'stick' } as const;
const ON_WORDS = { bare: 'bare skin', cleared: 'cleared skin', hair: 'hair: gently' } as const;
const NO_LOOKS: ReadonlyMap<string, StripLook> = new Map<string, StripLook>();

interface Props {
  readonly plan: Plan;
  readonly zones: readonly BenchZone[];
  readonly productName: (id: string) => string;
}

/**
 * The strips of all zones on paper, for the wall or the tray: no name, no health words, no cost. Drawn only while it is
 * printed.
 */
export function WallPlan({ plan, zones, productName }: Props) {
  const [printing, setPrinting] = useState(false);
  useEffect(() => {
    // the browser's own "print" too: the page must be there before it is taken
    const before = (): void => {
      flushSync(() => setPrinting(true));
    };
    const after = (): void => setPrinting(false);
    window.addEventListener('beforeprint', before);
    window.addEventListener('afterprint', after);
    return () => {
      window.removeEventListener('beforeprint', before);
      window.removeEventListener('afterprint', after);
    };
  }, []);
  return (
    <>
      <Button onClick={() => window.print()}>Print the strips</Button>
      {printing
        ? createPortal(
            <div className={styles.paper} data-paper>
              {plan.zones
                .filter((z) => z.strips.length > 0)
                .map((z) => {
                  const data = zones.find((b) => zoneKey(b) === zoneKey(z))?.data;
                  return (
                    <section key={zoneKey(z)}>
                      <h1>{sideWord(ZONES[z.zone].name, z.side)}</h1>
                      <p>
                        {z.choice ? productName(z.choice.product) : ''},{' '}
                        {z.heat
                          ? `about ${degrees(z.heat.workingC.target)} at touch, ${sized(z.heat.thicknessMm, 'mm')}`
                          : ''}
                        . Estimate: test on your wrist. {dayMonthYear(plan.on)}.
                      </p>
                      <div className={styles.paperSheet}>
                        {data ? <StripSheet zone={z} data={data} looks={NO_LOOKS} maxHeight={520} /> : null}
                      </div>
                      <table>
                        <thead>
                          <tr>
                            <th>Strip</th>
                            <th>{sizeSign('mm')}</th>
                            <th>Tab</th>
                            <th>Wait, s</th>
                            <th>Hand</th>
                          </tr>
                        </thead>
                        <tbody>
                          {z.strips.map((s) => (
                            <tr key={s.id}>
                              <td>{s.number}</td>
                              <td>
                                {sizeNumber(Math.round(s.lengthMm), 'mm')} × {sizeNumber(Math.round(s.widthMm), 'mm')}
                              </td>
                              <td>
                                {TAB_WORDS[s.tabKind]}, on {ON_WORDS[s.tabOn]}
                              </td>
                              <td>
                                {s.setS.min}–{s.setS.max}
                              </td>
                              <td>
                                {s.handwork ?? (z.choice?.way === 'moulded' ? 'one flick, parallel' : 'one low pull')}
                              </td>
                            </tr>
                          ))}
                        </tbody>
                      </table>
                    </section>
                  );
                })}
            </div>,
            document.body,
          )
        : null}
    </>
  );
}
