// How far a page has heard what the server tells: from the cursor that came with the page, told by told.

/**
 * @param heard cursor `run.seq` of the last thing that this page knows of; null where it knows none
 * @param id cursor of what is told now
 * @param isKept whether it has a number of its own; the heat of pots has that of the thing before
 * @returns whether something between the two was not heard
 */
export function isGap(heard: string | null, id: string, isKept: boolean): boolean {
  if (heard === null) return false;
  const [run, seq] = partsOf(id);
  const [heardRun, heardSeq] = partsOf(heard);
  return run !== heardRun || seq > heardSeq + (isKept ? 1 : 0);
}

/** The later of two cursors; one of another run of the server is later than any before. */
export function later(heard: string | null, id: string): string {
  if (heard === null) return id;
  const [run, seq] = partsOf(id);
  const [heardRun, heardSeq] = partsOf(heard);
  return run === heardRun && seq < heardSeq ? heard : id;
}

function partsOf(cursor: string): readonly [run: string, seq: number] {
  const [run = '', seq = ''] = cursor.split('.');
  return [run, Number(seq)];
}
