export function scriptOfPages(): readonly { readonly page: string; readonly kB: number }[];
