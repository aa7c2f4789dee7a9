import { execFileSync } from 'node:child_process';

/** The threads that tests start are bundled first, as a build does. */
export default function bundleThreads(): void {
  execFileSync('sh', ['scripts/threads.sh'], { stdio: 'inherit' });
}
