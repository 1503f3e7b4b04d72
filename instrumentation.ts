/** Next calls this once when a server starts: the background work begins with it, and ends with a clean stop. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || !process.env.DATABASE_URL) return;
  const { endCleanly } = await import('./server/jobs/ending');
  const { startRunner } = await import('./server/jobs/runner');
  if (process.env.NEXT_MANUAL_SIG_HANDLE)
    for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, () => void endCleanly());
  if (process.env.OLDHAND_RUNNER !== 'off') startRunner();
}
