interface Waiting {
  readonly go: () => void;
  readonly onPlace: ((place: number) => void) | undefined;
}

/**
 * Lets so many at a time go on and has the others wait in the order in which they came. Who waits is told its place,
 * counted from 1, at first and whenever it changes.
 */
export class WaitingLine {
  private going = 0;
  private readonly waiting: Waiting[] = [];

  constructor(
    private readonly abreast: number,
    private readonly most: number,
  ) {}

  /**
   * Waits for a turn. Gives what ends the turn; undefined when too many wait already, or when `signal` is aborted
   * before the turn came.
   */
  async enter(signal?: AbortSignal, onPlace?: (place: number) => void): Promise<(() => void) | undefined> {
    if (signal?.aborted) return undefined;
    if (this.going < this.abreast) {
      this.going++;
      return this.leaver();
    }
    if (this.waiting.length >= this.most) return undefined;
    const came = await new Promise<boolean>((done) => {
      const quit = () => {
        const at = this.waiting.indexOf(me);
        if (at < 0) return;
        this.waiting.splice(at, 1);
        this.tellPlaces();
        done(false);
      };
      const go = () => {
        signal?.removeEventListener('abort', quit);
        done(true);
      };
      const me: Waiting = { go, onPlace };
      this.waiting.push(me);
      signal?.addEventListener('abort', quit, { once: true });
      onPlace?.(this.waiting.length);
    });
    return came ? this.leaver() : undefined;
  }

  private leaver(): () => void {
    let left = false;
    return () => {
      if (left) return;
      left = true;
      const next = this.waiting.shift();
      if (!next) {
        this.going--;
        return;
      }
      next.go();
      this.tellPlaces();
    };
  }

  private tellPlaces(): void {
    this.waiting.forEach((w, i) => w.onPlace?.(i + 1));
  }
}
