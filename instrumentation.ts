/** Next calls this once when a server starts: the background work begins with it. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || process.env.OLDHAND_RUNNER === 'off' || !process.env.DATABASE_URL)
    return;
  const { startRunner } = await import('./server/jobs/runner');
  startRunner();
}
