/** Next calls this once, before the first request. */
export async function register(): Promise<void> {
  if (process.env['NEXT_RUNTIME'] !== 'nodejs') return;
  const { startUp } = await import('./server/startUp');
  startUp();
}
