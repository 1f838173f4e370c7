// What the client has written, kept on the tablet until the server has it. Emptied when the form is signed or taken
// back.

import type { FormData } from '@/server/db/schema';

const keyOf = (formId: string): string => `strickle-form-${formId}`;

export function readBox(formId: string): FormData | null {
  try {
    const text = localStorage.getItem(keyOf(formId));
    return text ? (JSON.parse(text) as FormData) : null; // written by keepInBox only
  } catch {
    return null;
  }
}

export function keepInBox(formId: string, data: FormData | null): void {
  try {
    if (data === null) localStorage.removeItem(keyOf(formId));
    else localStorage.setItem(keyOf(formId), JSON.stringify(data));
  } catch {
    // a full or forbidden store: the page still holds it in memory and keeps trying
  }
}
