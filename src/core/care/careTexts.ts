// Words of the care card, in one place: another language is another table of the same keys.

export const CARE_TEXTS = {
  gel: 'cool gel or unperfumed lotion again',
  deodorant: 'deodorant again',
  makeUp: 'make-up again',
  sport: 'sport and anything perfumed again',
  heat: 'hot bath, sauna, sun and tight clothing again',
  scrub: 'gentle scrub, then regularly; moisturise daily',
  pointsGone: 'small red points should be gone',
  washesOff: 'anything sticky left washes off with warm water',
  acids: 'last day for peels, acids and resurfacing',
  scrubBefore: 'gentle scrub, the last before the visit',
  stimulants: 'from now on no coffee, alcohol or other stimulants',
  nothingOn: 'nothing on the skin; the visit',
  noShaving: 'Don’t shave: it sets the wax back.',
  ring: 'Still red the day after, or a blister: get in touch.',
} as const;
export type CareText = keyof typeof CARE_TEXTS;
