// Fixtures: the best ends known for ten random tasks of thirty strips (randomTask on one seed, two, three and four strips on the skin in
// turn). `endS` is what this engine reaches and must not lose again; `longSearchS` the earliest of eighteen searches
// a task with half a million changes each: four tasks end a second earlier there.

export const THIRTY_STRIPS = {
  seed: 77,
  endS: [590, 579, 578, 1009, 561, 545, 594, 592, 586, 886],
  longSearchS: [589, 579, 578, 1009, 561, 545, 593, 591, 585, 886],
} as const;
