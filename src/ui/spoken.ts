'use client';

import { useSyncExternalStore } from 'react';

// Sound and voice, off until they are asked for on this tablet; whatever they say the screen says too.

const KEPT_UNDER = 'strickle-sound';
const listeners = new Set<() => void>();
const isOn = (): boolean => localStorage.getItem(KEPT_UNDER) === 'on';
const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

export function speak(words: string): void {
  if (!('speechSynthesis' in window)) return;
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(words));
}

const TONE_S = 0.16;

/** Tones one after the other, Hz. */
export function sound(ctx: AudioContext, tones: readonly number[]): void {
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

/** The switch of this tablet. */
export function useSpoken(): { readonly on: boolean; readonly toggle: () => void } {
  const on = useSyncExternalStore(subscribe, isOn, () => false);
  const toggle = (): void => {
    localStorage.setItem(KEPT_UNDER, on ? 'off' : 'on');
    if (on && 'speechSynthesis' in window) window.speechSynthesis.cancel();
    listeners.forEach((l) => l());
  };
  return { on, toggle };
}
