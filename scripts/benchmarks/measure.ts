/** The middle one of some times, with the least and the most, in milliseconds. */
export function summary(times: readonly number[]): string {
  const sorted = [...times].sort((a, b) => a - b);
  const at = (k: number) =>
    (sorted[Math.floor((sorted.length - 1) * k)] ?? 0).toFixed(sorted.some((t) => t < 10) ? 2 : 0);
  return `${at(0.5)} ms (${at(0)} to ${at(1)}, ${sorted.length} runs)`;
}

/** Runs `work` after two runs that do not count, and gives the times of the others. */
export function timed(runs: number, work: (run: number) => void): number[] {
  return Array.from({ length: runs + 2 }, (_, i) => {
    const start = performance.now();
    work(i);
    return performance.now() - start;
  }).slice(2);
}

export function say(what: string, aim: string, figure: string): void {
  console.log(`${what.padEnd(66)} ${figure.padEnd(40)} aim ${aim}`);
}
