// What the client has written, kept on the tablet until the server has it. Emptied when the form is signed or taken
// back.

import type { FormData } from '@/server/db/schema';

const keyOf = (formId: string): string => `strickle-form-${formId}`;
/** What the server has already: for a page that is loaded anew while it is away. */
const copyOf = (formId: string): string => `strickle-form-copy-${formId}`;

export const readBox = (formId: string): FormData | null => readAt(keyOf(formId));
export const readCopy = (formId: string): FormData | null => readAt(copyOf(formId));

function readAt(key: string): FormData | null {
  try {
    const text = localStorage.getItem(key);
    return text ? (JSON.parse(text) as FormData) : null; // written by the functions below only
  } catch {
    return null;
  }
}

export const keepInBox = (formId: string, data: FormData | null): void => keepAt(keyOf(formId), data);
export const keepCopy = (formId: string, data: FormData | null): void => keepAt(copyOf(formId), data);

function keepAt(key: string, data: FormData | null): void {
  try {
    if (data === null) localStorage.removeItem(key);
    else localStorage.setItem(key, JSON.stringify(data));
  } catch {
    // a full or forbidden store: the page still holds it in memory and keeps trying
  }
}
