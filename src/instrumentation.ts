/** What the server gets ready before it is asked anything. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { readyThreads } = await import('@/server/threads/solver-pool');
  const { openAtStart } = await import('@/server/open-at-start');
  openAtStart();
  readyThreads();
}
