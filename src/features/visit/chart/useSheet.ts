import { useMemo } from 'react';
import { sheetFor, type Sheet, type Side, type Zone } from '@/core/anatomy';

/** A zone's sheet of a size in centimetres, the same one as long as nothing of it changes; null where there is none. */
export const useSheet = (zone: Zone, side: Side, widthCm: number, heightCm: number): Sheet | null =>
  useMemo(() => {
    const made = sheetFor(zone, side, {}, [widthCm, heightCm]);
    return made.ok ? made.value : null;
  }, [zone, side, widthCm, heightCm]);
