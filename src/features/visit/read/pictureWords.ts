import type { StripPicture } from '@/core/reading';

/** What each picture is called, what it says, and the word on the strip of the sheet. */
export const PICTURE_WORDS: Readonly<
  Record<StripPicture, { readonly name: string; readonly says: string; readonly word: string }>
> = {
  roots: { name: 'Full of roots', says: 'clean: go on', word: 'clean' },
  sparse: { name: 'Sparse', says: 'hair stayed behind', word: 'sparse' },
  blunt: { name: 'Blunt ends', says: 'it broke', word: 'broke' },
  flakes: { name: 'Skin flakes', says: 'stop here, soothe', word: 'flakes' },
  bare: { name: 'Bare patch', says: 'less grows here', word: 'bare' },
};

/** Marks of the table in the same words. */
export const MARK_WORDS = { clean: 'clean', 'some-left': 'some left', broke: 'broke', sore: 'sore' } as const;
