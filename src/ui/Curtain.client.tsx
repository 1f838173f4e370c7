'use client';

import { useEffect, useRef } from 'react';
import { createPortal } from 'react-dom';
import { useKeys } from './useKeys';
import { useMounted } from './useMounted';
import styles from './Curtain.module.css';

const DRAW = 'strickle-draw-curtain';

/** The privacy curtain: one key or one tap hides everything; what lies behind can neither be reached nor read out. */
export function Curtain() {
  const dialog = useRef<HTMLDialogElement>(null);
  const mounted = useMounted();
  const toggle = (): void => {
    const curtain = dialog.current;
    if (curtain?.open) curtain.close();
    else curtain?.showModal();
  };
  useKeys({ '.': toggle });
  useEffect(() => {
    const draw = (): void => {
      if (!dialog.current?.open) dialog.current?.showModal();
    };
    window.addEventListener(DRAW, draw);
    return () => window.removeEventListener(DRAW, draw);
  }, []);
  if (!mounted) return null;
  return createPortal(
    <dialog ref={dialog} className={styles.curtain} aria-label="Privacy curtain">
      <button type="button" onClick={() => dialog.current?.close()}>
        Open the curtain
      </button>
    </dialog>,
    document.body,
  );
}

export function CurtainButton({ className }: { readonly className?: string | undefined }) {
  return (
    <button
      type="button"
      className={className ?? styles.draw}
      onClick={() => window.dispatchEvent(new Event(DRAW))}
      title="Privacy curtain ( . )"
    >
      Curtain
    </button>
  );
}
