// Fixtures: the best ends known for ten random tasks of thirty strips (randomTask on one seed, two, three and four strips on the skin in
// turn). `endS` is what this engine reaches and must not lose again; `longSearchS` what wider searches of some minutes found.

export const THIRTY_STRIPS = {
  seed: 77,
  endS: [591, 587, 581, 1011, 564, 545, 595, 604, 589, 887],
  longSearchS: [589, 582, 581, 1011, 564, 545, 593, 594, 589, 886],
} as const;
