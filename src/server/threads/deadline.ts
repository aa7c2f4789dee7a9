/** How long a first result is waited for, once the time is over: a machine may be too busy to let a thread begin. */
const FIRST_MS = 60_000;

/**
 * The end of the time that work has. Where nothing has been found by then it ends with the first that is: whoever waited
 * wants something, and that all is lacking and costs nothing would be no answer.
 */
export class Deadline {
  private timer: NodeJS.Timeout;
  private hasFound = false;
  private isOverdue = false;

  constructor(
    ms: number,
    private readonly onOver: () => void,
  ) {
    this.timer = setTimeout(this.over, Math.max(0, ms));
  }

  /** There is something to end with. */
  found(): void {
    this.hasFound = true;
    if (this.isOverdue) this.onOver();
  }

  /** It has ended otherwise. */
  clear(): void {
    clearTimeout(this.timer);
    this.isOverdue = false;
  }

  private readonly over = (): void => {
    if (this.hasFound) return this.onOver();
    this.isOverdue = true;
    this.timer = setTimeout(this.onOver, FIRST_MS);
  };
}
