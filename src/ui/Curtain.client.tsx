'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { createPortal } from 'react-dom';
import { PinPad } from './PinPad.client';
import { getJson, sendJson } from './sendJson';
import { useKeys } from './useKeys';
import { useMounted } from './useMounted';
import styles from './Curtain.module.css';
import { useWho } from './Who.client';

const DRAW = 'strickle-draw-curtain';
/** Held this long it opens: a sleeve that brushes the glass does not. */
const HOLD_MS = 1000;
/** True while what is on the page is hidden. */
export const isCurtainDrawn = (): boolean => document.querySelector('dialog[data-curtain][open]') !== null;
const LIFTING_KEYS = ['.', 'Enter', ' '];

/**
 * The privacy curtain: one key or one tap hides everything; what lies behind can neither be reached nor read out. It is
 * lifted by holding it for a second, and by a PIN where people sign in.
 */
export function Curtain() {
  const dialog = useRef<HTMLDialogElement>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const [holding, setHolding] = useState(false);
  const [asks, setAsks] = useState(false);
  const { name } = useWho();
  const router = useRouter();
  const mounted = useMounted();
  const draw = (): void => {
    if (dialog.current?.open) return;
    dialog.current?.showModal();
    if (name !== null) void rest();
  };
  /** A reload lifts no curtain: the server asks for the PIN too, but with wax on skin. */
  const rest = async (): Promise<void> => {
    const here = await getJson<{ isWaxOnSkin: boolean }>('/api/door/here');
    if (here.ok && !here.value.isWaxOnSkin) await sendJson('POST', '/api/door/rest', {});
  };
  const open = (): void => {
    setAsks(false);
    dialog.current?.close();
    // what came meanwhile
    if (name !== null) router.refresh();
  };
  /** Where people sign in only who has lifts it; with wax on skin nobody is asked for anything. */
  const lift = async (): Promise<void> => {
    if (name === null) return open();
    const here = await getJson<{ isWaxOnSkin: boolean }>('/api/door/here');
    const isAtTable = window.location.pathname.endsWith('/work');
    if (here.ok ? here.value.isWaxOnSkin : here.error.code === 'away' && isAtTable) return open();
    setAsks(true);
  };
  const letGo = (): void => {
    if (timer.current) clearTimeout(timer.current);
    timer.current = null;
    setHolding(false);
  };
  const hold = (): void => {
    if (timer.current) return;
    setHolding(true);
    timer.current = setTimeout(() => {
      letGo();
      void lift();
    }, HOLD_MS);
  };
  useKeys({ '.': draw });
  useEffect(() => {
    window.addEventListener(DRAW, draw);
    return () => window.removeEventListener(DRAW, draw);
  });
  if (!mounted) return null;
  const onKeyDown = (event: KeyboardEvent): void => {
    if (asks || !LIFTING_KEYS.includes(event.key)) return;
    event.preventDefault();
    // the key that drew it repeats while it is still down
    if (!event.repeat) hold();
  };
  return createPortal(
    // the dialog itself takes the keys, wherever the focus is in it
    // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions
    <dialog
      ref={dialog}
      data-curtain
      className={styles.curtain}
      aria-label="Privacy curtain"
      onCancel={(e) => e.preventDefault()}
      onClose={letGo}
      onKeyDown={onKeyDown}
      onKeyUp={letGo}
    >
      {asks ? (
        <div className={styles.asks}>
          <p>{name} lifts the curtain.</p>
          <PinPad url="/api/door/lift" does="Lift" onOpened={open} onClose={() => setAsks(false)} />
        </div>
      ) : null}
      <button
        type="button"
        hidden={asks}
        className={styles.lift}
        data-holding={holding}
        onPointerDown={hold}
        onPointerUp={letGo}
        onPointerLeave={letGo}
        onPointerCancel={letGo}
        onContextMenu={(e) => e.preventDefault()}
      >
        Hold to lift the curtain
      </button>
    </dialog>,
    document.body,
  );
}

/** @param drawn the drawn curtain alone, without its word */
export function CurtainButton({
  className,
  drawn = false,
}: {
  readonly className?: string | undefined;
  readonly drawn?: boolean;
}) {
  return (
    <button
      type="button"
      className={className ?? styles.draw}
      onClick={() => window.dispatchEvent(new Event(DRAW))}
      title="Privacy curtain ( . )"
    >
      {className === undefined || drawn ? <Drape /> : null}
      <span className={drawn ? 'visually-hidden' : undefined}>Curtain</span>
    </button>
  );
}

/** Two drawn halves of a curtain on its rod. */
const Drape = () => (
  <svg
    width="24"
    height="22"
    viewBox="0 0 24 22"
    fill="none"
    stroke="currentColor"
    strokeWidth="1.6"
    aria-hidden="true"
  >
    <path d="M1 3 H23" strokeWidth="2" />
    <path d="M4 3 C4 9 5 12 3 19 H7 C9 13 11 9 10.5 3 M7 3 C7.5 8 7 11 5.4 15 M20 3 C20 9 19 12 21 19 H17 C15 13 13 9 13.5 3 M17 3 C16.5 8 17 11 18.6 15" />
  </svg>
);
