// The words that are signed, with their version. An old version stays here for as long as a signature refers to it.

export interface ConsentText {
  readonly version: number;
  readonly paragraphs: readonly string[];
  /** Added above the guardian's signature. */
  readonly guardian: string;
}

const TEXTS: readonly ConsentText[] = [
  {
    version: 1,
    paragraphs: [
      'I have answered the questions as well as I can, and say so when something changes.',
      'I know that waxing and sugaring pull the hair out with its root, that it hurts for a moment, and that redness, small red points and ingrown hairs can follow.',
      'I know that warm wax can burn, and say at once when it feels too warm. I can end it at any time, without a reason.',
      'What I have written here stays in this studio. I can ask to see it, to have it corrected, and to have a copy.',
      'I agree to be treated today on the zones we have talked about.',
    ],
    guardian:
      'I am the parent or guardian, I have read this together with the young person, and I agree. I may stay in the room.',
  },
];

/** The text signed now. */
export const CONSENT_TEXT: ConsentText = TEXTS[TEXTS.length - 1] ?? { version: 0, paragraphs: [], guardian: '' };
export const consentTextOf = (version: number): ConsentText | undefined => TEXTS.find((t) => t.version === version);
