// Fixtures: the best ends known for ten random tasks of thirty strips (randomTask on one seed, two, three and four
// strips on the skin in turn). `endS` is what this engine reaches and must not lose again; `longSearchS` the earliest
// of some thirty searches a task with up to half a million changes each: one task ends two seconds earlier there, one a
// second.

export const THIRTY_STRIPS = {
  seed: 77,
  endS: [590, 579, 578, 1009, 561, 545, 591, 592, 585, 886],
  longSearchS: [588, 579, 578, 1009, 561, 545, 591, 591, 585, 886],
} as const;
