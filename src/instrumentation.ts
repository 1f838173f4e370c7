/** Next calls this once, before the first request. */
export async function register(): Promise<void> {
  if (process.env['NEXT_RUNTIME'] !== 'nodejs') return;
  const { startUp } = await import('./server/startUp');
  const { DatabaseRefused } = await import('./server/db/fileFaults');
  try {
    startUp();
  } catch (error) {
    if (!(error instanceof DatabaseRefused)) throw error;
    // a plain sentence for whoever started it
    process.stderr.write(`${error.message}\n`);
    process.exit(3);
  }
}
