// The tablet's own clock, asked when a hand does something; never while a page is being drawn.

/** Now, epoch milliseconds. */
export const tabletNow = (): number => Date.now();
