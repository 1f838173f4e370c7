'use client';

import { useEffect, useRef } from 'react';
import type { SignalState } from '@/core/hands';
import { sound, speak, useSpoken } from '@/ui/spoken';

/** Tones of a state, Hz, one after the other; none of those that nothing hangs on. */
const TONES: Readonly<Record<SignalState, readonly number[]>> = {
  do: [],
  wait: [],
  pull: [523, 784],
  now: [880, 660, 880],
};

/**
 * Sound and voice at the table, off until they are asked for on this tablet; the screen says all of it too.
 * @param words what is said when the act or its state changes
 */
export function useCues(state: SignalState, words: string): { readonly on: boolean; readonly toggle: () => void } {
  const { on, toggle } = useSpoken();
  const audio = useRef<AudioContext | null>(null);
  useEffect(() => {
    if (!on || words === '') return;
    audio.current ??= new AudioContext();
    // a browser lets a page sound only once it was touched
    void audio.current.resume().catch(() => undefined);
    sound(audio.current, TONES[state]);
    speak(words);
  }, [on, state, words]);
  useEffect(
    () => () => {
      void audio.current?.close();
      audio.current = null;
    },
    [],
  );
  return { on, toggle };
}
