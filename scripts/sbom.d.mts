export interface Part {
  readonly name: string;
  readonly version: string;
  readonly purl: string;
}
export function partsOf(lock: string): { readonly components: readonly Part[] };
