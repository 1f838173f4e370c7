// Outlines of the zones' sheets in shares of width and height: the left side (its outer side to the right) or the middle. Drawn after the
// proportions of an adult of about eight heads; all proportions from memory, to be corrected by measuring the sheet. Intimate zones
// are schematic. No outline has a hole: what lies within is marked and worked around.

import { drawn, fitToSheet, fromHalfWidths, fromRightHalf, oval, smoothRing } from './shapes';
import type { ZoneId } from './types';
import type { Vec } from '../shared';

// Upper lip: from corner to corner, dipping under the nose, following the red of the lip below.
const upperLip = ((): readonly Vec[] => {
  const half: readonly Vec[] = [[0.5, 0.12], [0.4, 0.0], [0.25, 0.12], [0.1, 0.45], [0.01, 0.9], [0.05, 1.0], [0.18, 0.86], [0.34, 0.74], [0.44, 0.72]];
  const bottom: Vec = [0.5, 0.82];
  const mirrored = half.slice(1).reverse().map(([x, y]): Vec => [1 - x, y]);
  return fitToSheet(smoothRing([...half, bottom, ...mirrored], 6));
})();

export const OUTLINES: Readonly<Record<ZoneId, readonly Vec[]>> = {
  // inner end blunt, highest at two thirds, tapering to the tail
  brow: drawn([[0, 0.62], [0.12, 0.3], [0.45, 0.08], [0.75, 0.1], [1, 0.55], [0.98, 0.66], [0.72, 0.42], [0.45, 0.55], [0.15, 0.95]]),
  // wider above the bridge of the nose than on it
  'between-brows': fromRightHalf([[0.5, 0], [0.82, 0.06], [0.98, 0.3], [0.86, 0.6], [0.72, 0.9], [0.5, 1]]),
  'upper-lip': upperLip,
  // under the lower lip in the middle, round the chin's point
  chin: fromRightHalf([[0.5, 0.1], [0.66, 0.04], [0.86, 0.02], [1, 0.22], [0.95, 0.55], [0.8, 0.85], [0.5, 1]]),
  // a sickle under the jaw: along the bone above, down to the throat's middle
  'jaw-throat': fromRightHalf([[0.5, 0.34], [0.68, 0.29], [0.84, 0.14], [0.96, 0], [1, 0.12], [0.94, 0.4], [0.82, 0.68], [0.68, 0.9], [0.5, 1]]),
  // the sideburn before the ear, spreading over the cheek to the jaw's angle
  'cheek-sideburn': drawn([[0.66, 0.02], [0.84, 0], [0.97, 0.06], [1, 0.3], [0.98, 0.6], [0.92, 0.88], [0.74, 1], [0.45, 0.95], [0.16, 0.86], [0, 0.7], [0.08, 0.56], [0.34, 0.5], [0.54, 0.4], [0.62, 0.2]]),
  // what bears hair: the rim from its root round the back, the lobe, and up the front to the tragus; the shell within stays out
  ear: drawn([
    [0.2, 0.22], [0.3, 0.09], [0.5, 0.01], [0.74, 0.03], [0.92, 0.15], [1, 0.34], [0.95, 0.52], [0.85, 0.68], [0.75, 0.82], [0.62, 0.95], [0.46, 1], [0.31, 0.95], [0.2, 0.84], [0.11, 0.71], [0.04, 0.59], [0.02, 0.49], [0.09, 0.43], [0.19, 0.44],
    [0.25, 0.53], [0.29, 0.63], [0.34, 0.75], [0.4, 0.83], [0.49, 0.86], [0.57, 0.82], [0.64, 0.71], [0.73, 0.57], [0.8, 0.44], [0.82, 0.32], [0.78, 0.22], [0.69, 0.16], [0.54, 0.145], [0.42, 0.19], [0.35, 0.27], [0.26, 0.3],
  ]),
  // the rims of both nostrils, drawn in at the septum
  'nose-rim': fromRightHalf([[0.5, 0.28], [0.66, 0.06], [0.86, 0], [0.99, 0.3], [0.96, 0.72], [0.8, 1], [0.62, 0.92], [0.5, 0.74]]),
  // below the cut line, reaching out behind the ears and down in the middle
  nape: fromRightHalf([[0.5, 0.1], [0.7, 0.06], [0.86, 0], [1, 0.1], [0.96, 0.42], [0.84, 0.7], [0.68, 0.9], [0.5, 1]]),
  underarm: oval(2),
  // unrolled: widest below the elbow, narrow at the wrist
  forearm: fromHalfWidths([[0, 0.5, 0.5], [0.012, 0.7, 0.7], [0.06, 0.9, 0.9], [0.18, 0.99, 1], [0.35, 0.96, 0.97], [0.55, 0.85, 0.86], [0.75, 0.72, 0.72], [0.92, 0.64, 0.63], [0.985, 0.54, 0.54], [1, 0.36, 0.36]]),
  // unrolled: round over the deltoid, even below it
  'upper-arm': fromHalfWidths([[0, 0.36, 0.44], [0.012, 0.56, 0.66], [0.06, 0.78, 0.88], [0.18, 0.89, 0.98], [0.36, 0.93, 1], [0.6, 0.92, 0.96], [0.82, 0.86, 0.88], [0.94, 0.8, 0.8], [0.988, 0.68, 0.68], [1, 0.48, 0.48]]),
  // back of the hand with the roots of four fingers
  hand: drawn([[0.3, 0.02], [0.5, 0], [0.7, 0.02], [0.82, 0.12], [0.93, 0.34], [1, 0.58], [0.98, 0.76], [0.89, 0.88], [0.79, 0.89], [0.69, 0.97], [0.57, 0.95], [0.46, 1], [0.36, 0.96], [0.25, 0.94], [0.13, 0.84], [0.04, 0.66], [0.02, 0.48], [0.1, 0.26], [0.19, 0.1]]),
  // the cap over the joint, running out towards the arm
  shoulder: drawn([[0.06, 0.1], [0.3, 0.0], [0.58, 0.04], [0.82, 0.18], [0.96, 0.4], [1, 0.64], [0.94, 0.86], [0.78, 0.99], [0.56, 1], [0.4, 0.86], [0.26, 0.62], [0.1, 0.4], [0, 0.22]]),
  // neck, slope of the shoulders, armpits, narrowing to the ribs
  'upper-back': fromRightHalf([[0.5, 0], [0.59, 0.01], [0.68, 0.07], [0.84, 0.13], [0.95, 0.22], [1, 0.36], [0.97, 0.5], [0.93, 0.7], [0.9, 0.92], [0.84, 0.99], [0.5, 1]]),
  // waist, hips, running out above the crease
  'lower-back': fromRightHalf([[0.5, 0], [0.82, 0.01], [0.91, 0.08], [0.92, 0.3], [0.92, 0.5], [0.97, 0.72], [1, 0.86], [0.93, 0.94], [0.76, 0.95], [0.6, 0.98], [0.5, 1]]),
  // under the collar bones, to the armpits, along the lower edge of the breast muscles
  chest: fromRightHalf([[0.5, 0.07], [0.6, 0.03], [0.78, 0], [0.92, 0.1], [1, 0.34], [0.97, 0.6], [0.88, 0.84], [0.74, 0.98], [0.6, 0.95], [0.5, 0.86]]),
  // under the ribs' arch, waist, to the waistband
  abdomen: fromRightHalf([[0.5, 0], [0.64, 0.05], [0.82, 0.14], [0.94, 0.22], [0.93, 0.45], [0.95, 0.66], [1, 0.86], [0.9, 0.95], [0.7, 0.98], [0.5, 1]]),
  // the groin's slant above, narrowing to the knee
  'thigh-front': drawn([[0.1, 0.16], [0.3, 0.1], [0.55, 0.05], [0.8, 0], [0.93, 0.04], [1, 0.2], [0.99, 0.4], [0.95, 0.62], [0.88, 0.84], [0.83, 0.97], [0.74, 1], [0.32, 1], [0.23, 0.97], [0.17, 0.84], [0.09, 0.6], [0.03, 0.4], [0, 0.24]]),
  // under the fold of the buttock, narrowing to the hollow of the knee
  'thigh-back': drawn([[0.03, 0.1], [0.2, 0.05], [0.5, 0.02], [0.8, 0], [0.97, 0.04], [1, 0.2], [0.97, 0.42], [0.92, 0.66], [0.86, 0.88], [0.8, 0.98], [0.7, 1], [0.32, 1], [0.22, 0.98], [0.15, 0.86], [0.08, 0.62], [0.02, 0.38], [0, 0.2]]),
  knee: oval(2.5),
  // Shin: fullest at the calf's height, narrow at the ankle; the outer side a little fuller.
  'lower-leg-front': fromHalfWidths([
    [0, 0.5, 0.56], [0.03, 0.76, 0.8], [0.15, 0.9, 0.94], [0.3, 0.96, 1], [0.45, 0.93, 0.95], [0.6, 0.82, 0.82], [0.75, 0.68, 0.67], [0.88, 0.58, 0.57], [0.97, 0.53, 0.53], [1, 0.36, 0.37],
  ]),
  // two heads of the calf, the inner one lower and fuller, then the tendon
  'lower-leg-back': fromHalfWidths([
    [0, 0.56, 0.52], [0.03, 0.78, 0.74], [0.14, 0.92, 0.9], [0.27, 0.98, 0.96], [0.38, 1, 0.93], [0.5, 0.92, 0.83], [0.64, 0.72, 0.68], [0.78, 0.55, 0.54], [0.9, 0.47, 0.47], [0.98, 0.46, 0.46], [1, 0.34, 0.34],
  ]),
  // instep and toes, the great toe's side longer (inner side to the left)
  foot: drawn([[0.3, 0.02], [0.52, 0], [0.74, 0.03], [0.83, 0.2], [0.9, 0.42], [0.98, 0.62], [1, 0.76], [0.9, 0.86], [0.74, 0.91], [0.56, 0.95], [0.38, 0.99], [0.2, 1], [0.06, 0.94], [0, 0.8], [0.04, 0.6], [0.12, 0.4], [0.2, 0.18]]),
  // schematic: a band along the crease, from the hip's side down inward
  'bikini-edge': drawn([[0.62, 0.02], [0.84, 0], [1, 0.06], [0.94, 0.26], [0.82, 0.48], [0.66, 0.7], [0.46, 0.9], [0.26, 1], [0.06, 0.98], [0, 0.86], [0.16, 0.68], [0.32, 0.46], [0.46, 0.24]]),
  'bikini-extended': drawn([[0.46, 0.03], [0.74, 0], [0.98, 0.05], [1, 0.18], [0.9, 0.4], [0.76, 0.62], [0.56, 0.84], [0.34, 0.98], [0.1, 1], [0, 0.9], [0.06, 0.7], [0.14, 0.46], [0.26, 0.2]]),
  // schematic: a rounded triangle
  'front-complete': fromRightHalf([[0.5, 0], [0.8, 0.01], [0.98, 0.07], [0.95, 0.26], [0.84, 0.5], [0.72, 0.74], [0.64, 0.93], [0.5, 1]]),
  // schematic: a spindle
  'buttock-crease': fromRightHalf([[0.5, 0], [0.7, 0.05], [0.86, 0.2], [0.99, 0.45], [0.9, 0.7], [0.74, 0.92], [0.5, 1]]),
};
