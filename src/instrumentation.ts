/** What the server gets ready before it is asked anything. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { readyThreads } = await import('@/server/threads/solver-pool');
  const { openAtStart } = await import('@/server/open-at-start');
  openAtStart();
  const { warmLongLogs, warmUp } = await import('@/server/warm-up');
  const port = Number(process.env.PORT);
  // In development pages are made when they are asked for. What threads have compiled would keep the first page waiting.
  if (port > 0 && process.env.NODE_ENV === 'production')
    void warmUp(port).finally(readyThreads).then(warmLongLogs);
  else readyThreads();
}
