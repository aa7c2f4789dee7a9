import { execFileSync } from 'node:child_process';

/** The threads that tests start are bundled first, as a build does. */
export default function bundleThreads(): void {
  execFileSync(process.execPath, ['scripts/bundle-threads.mjs'], { stdio: 'inherit' });
}
