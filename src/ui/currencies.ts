/** All currencies by their names. */
export function currencies(): readonly { readonly value: string; readonly label: string }[] {
  const names = new Intl.DisplayNames('en-GB', { type: 'currency' });
  return Intl.supportedValuesOf('currency').map((value) => ({ value, label: `${names.of(value) ?? value}, ${value}` }));
}
