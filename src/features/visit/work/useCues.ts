'use client';

import { useEffect, useRef, useSyncExternalStore } from 'react';
import type { SignalState } from '@/core/hands';

const KEPT_UNDER = 'strickle-sound';
const listeners = new Set<() => void>();
const isOn = (): boolean => localStorage.getItem(KEPT_UNDER) === 'on';
const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Tones of a state, Hz, one after the other; none of those that nothing hangs on. */
const TONES: Readonly<Record<SignalState, readonly number[]>> = {
  do: [],
  wait: [],
  pull: [523, 784],
  now: [880, 660, 880],
};
const TONE_S = 0.16;

function sound(ctx: AudioContext, tones: readonly number[]): void {
  tones.forEach((hz, i) => {
    const [tone, volume] = [ctx.createOscillator(), ctx.createGain()];
    const at = ctx.currentTime + i * TONE_S;
    tone.frequency.value = hz;
    volume.gain.setValueAtTime(0.18, at);
    volume.gain.exponentialRampToValueAtTime(0.001, at + TONE_S);
    tone.connect(volume).connect(ctx.destination);
    tone.start(at);
    tone.stop(at + TONE_S);
  });
}

function speak(words: string): void {
  if (!('speechSynthesis' in window)) return;
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(words));
}

/**
 * Sound and voice at the table, off until they are asked for on this tablet; the screen says all of it too.
 * @param words what is said when the act or its state changes
 */
export function useCues(state: SignalState, words: string): { readonly on: boolean; readonly toggle: () => void } {
  const on = useSyncExternalStore(subscribe, isOn, () => false);
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
  const toggle = (): void => {
    localStorage.setItem(KEPT_UNDER, on ? 'off' : 'on');
    if (on && 'speechSynthesis' in window) window.speechSynthesis.cancel();
    listeners.forEach((l) => l());
  };
  return { on, toggle };
}
