'use client';

import { createContext, useContext, type ReactNode } from 'react';
import { createPortal } from 'react-dom';
import { useBench } from './BenchContext.client';
import { openLine } from './openPoints';
import styles from './Bench.module.css';

/** The foot of the plan's slip; null before the page is drawn. */
export const FootContext = createContext<HTMLElement | null>(null);

/** The plan's slip itself; null before the page is drawn. */
export const SideContext = createContext<HTMLElement | null>(null);

/** What a station shows beside its surface instead of the plan's slip. */
export function StationSide({ children }: { readonly children: ReactNode }) {
  const side = useContext(SideContext);
  return side ? createPortal(children, side) : null;
}

/** Under the client's slip; null before the page is drawn. */
export const LeftContext = createContext<HTMLElement | null>(null);

/** What a station asks beside its surface, under the client's slip. */
export function StationLeft({ children }: { readonly children: ReactNode }) {
  const left = useContext(LeftContext);
  return left ? createPortal(children, left) : null;
}

interface Props {
  /** What is still open, where a station knows better than the plan; empty for nothing. */
  readonly open?: string | undefined;
  /** The main act last. */
  readonly children: ReactNode;
}

/** A station's acts, always in one place: the foot of the plan's slip, under one line of what is still open. */
export function StationFoot({ open, children }: Props) {
  const { bench } = useBench();
  const foot = useContext(FootContext);
  if (!foot) return null;
  const line = open ?? openLine(bench);
  return createPortal(
    <>
      {line === '' ? null : (
        <p className={styles.open} role="status">
          {line}
        </p>
      )}
      {children}
    </>,
    foot,
  );
}
