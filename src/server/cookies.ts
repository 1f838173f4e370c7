import 'server-only';

/** Text out of a header; what is not properly encoded is taken as it stands. */
export function decoded(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
}

export function cookieOf(request: Request, name: string): string | null {
  const found = (request.headers.get('cookie') ?? '')
    .split(';')
    .map((c) => c.trim())
    .find((c) => c.startsWith(`${name}=`));
  return found ? decoded(found.slice(name.length + 1)) : null;
}
