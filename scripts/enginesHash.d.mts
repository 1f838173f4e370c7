export function enginesHash(folder?: string): string;
