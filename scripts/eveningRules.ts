// What the evening changes: of two style sheets of the same parts the custom properties that differ, under the root of
// the evening, on the screen only.

/** Declarations by name, of every rule that sets custom properties of the theme. */
function properties(css: string): ReadonlyMap<string, ReadonlyMap<string, string>> {
  const rules = new Map<string, Map<string, string>>();
  for (const [, selector = '', body = ''] of css.matchAll(/([^{}]+)\{([^{}]*)\}/g)) {
    if (!selector.includes('.strickle')) continue;
    const known = rules.get(selector) ?? new Map<string, string>();
    for (const line of body.split(';')) {
      const at = line.indexOf(':');
      if (line.startsWith('--')) known.set(line.slice(0, at), line.slice(at + 1));
    }
    rules.set(selector, known);
  }
  return rules;
}

export function eveningRules(day: string, evening: string): string {
  const [by, to] = [properties(day), properties(evening)];
  const rules = [...to].flatMap(([selector, values]) => {
    const other = [...values].filter(([name, value]) => by.get(selector)?.get(name) !== value);
    if (other.length === 0) return [];
    const under = selector
      .split(',')
      .map((s) => `:root[data-theme='evening'] ${s}`)
      .join(',');
    return [`${under}{${other.map(([name, value]) => `${name}:${value}`).join(';')}}`];
  });
  if (rules.length === 0) throw new Error('the evening is the same as the day');
  return `@media screen{${rules.join('')}}`;
}
