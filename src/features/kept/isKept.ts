/** True of a page that the tablet had kept (public/sw.js): the server did not answer when it was loaded. */
export const isKept = (): boolean => document.documentElement.dataset['kept'] === 'yes';
