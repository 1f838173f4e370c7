'use client';

import { useEffect, useRef } from 'react';
import { sound, speak, useSpoken } from '@/ui/spoken';

const TONES = [660, 880] as const;

/** Calls by voice, where this tablet may speak. A page that is opened later does not call what was called before. */
export function useCalls(call: string | null): { readonly on: boolean; readonly toggle: () => void } {
  const { on, toggle } = useSpoken();
  const said = useRef(call);
  const audio = useRef<AudioContext | null>(null);
  useEffect(() => {
    if (said.current === call) return;
    said.current = call;
    if (!on || call === null) return;
    audio.current ??= new AudioContext();
    void audio.current.resume().catch(() => undefined);
    sound(audio.current, TONES);
    speak(call);
  }, [call, on]);
  useEffect(
    () => () => {
      void audio.current?.close();
      audio.current = null;
    },
    [],
  );
  return { on, toggle };
}
