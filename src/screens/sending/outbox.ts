import type { Action } from '@/core/ledger';
import type { Performed } from '@/server/perform';
import type { NotReached, Reached } from './answers';

/** Something a person did that the server is to be told: an action, or undo or redo of one that is named. */
export type Wish =
  | { readonly kind: 'action'; readonly action: Action }
  | {
      readonly kind: 'undo';
      readonly request: string;
      readonly scope: string;
      readonly direction: 'undo' | 'redo';
      readonly action: string;
    };

/** The id that makes a second arrival harmless. */
export const requestOf = (wish: Wish): string => (wish.kind === 'action' ? wish.action.id : wish.request);

/** What came of a wish. A refusal is the server's no; a failure is a fault of the program, and may be tried again. */
export type Outcome =
  | { readonly how: 'done'; readonly value: Performed }
  | { readonly how: 'refused'; readonly reason: unknown }
  | { readonly how: 'failed'; readonly reason: unknown };

/** What an outbox works with; all of it comes in, so that it can be tried without a browser. */
export interface OutboxTools {
  readonly send: (wish: Wish) => Promise<Reached<Performed>>;
  /** Keeps a wish until it is answered, past the end of the page. */
  readonly keep: (no: number, wish: Wish) => Promise<void>;
  readonly forget: (no: number) => Promise<void>;
  /** Waits so long, or until there is reason to think that the server can be reached. */
  readonly pause: (ms: number) => Promise<void>;
  readonly onState?: (state: OutboxState) => void;
}

export interface OutboxState {
  readonly waiting: number;
  /** Why the server cannot be reached; null while it can. */
  readonly unreached: NotReached | null;
}

const FIRST_PAUSE_MS = 500;
const LONGEST_PAUSE_MS = 30_000;

/**
 * Sends wishes one after another, in the order in which they were made. While the server cannot be reached it waits,
 * longer and longer, and goes on by itself; what is refused or fails does not hold back what comes behind it.
 */
export class Outbox {
  private queue: Promise<unknown> = Promise.resolve();
  private waiting = 0;
  private unreached: NotReached | null = null;
  private next = 0;

  constructor(private readonly tools: OutboxTools) {}

  get state(): OutboxState {
    return { waiting: this.waiting, unreached: this.unreached };
  }

  add(wish: Wish): Promise<Outcome> {
    const no = this.next++;
    this.tell(this.waiting + 1, this.unreached);
    // Kept at once, not when its turn comes: the page may be closed before that.
    const kept = this.tools.keep(no, wish).catch(() => undefined);
    const outcome = this.queue.then(async () => {
      await kept;
      const came = await this.sendUntilReached(wish);
      await this.tools.forget(no).catch(() => undefined);
      this.tell(this.waiting - 1, null);
      return came;
    });
    this.queue = outcome;
    return outcome;
  }

  private async sendUntilReached(wish: Wish): Promise<Outcome> {
    for (let tries = 0; ; tries++) {
      const said = await this.tools.send(wish);
      if (said.reached) return outcomeOf(said.answer);
      this.tell(this.waiting, said.why);
      await this.tools.pause(Math.min(LONGEST_PAUSE_MS, FIRST_PAUSE_MS * 2 ** tries));
    }
  }

  private tell(waiting: number, unreached: NotReached | null): void {
    if (waiting === this.waiting && unreached === this.unreached) return;
    [this.waiting, this.unreached] = [waiting, unreached];
    this.tools.onState?.(this.state);
  }
}

function outcomeOf(answer: { ok: true; value: Performed } | { ok: false; reason: unknown }): Outcome {
  if (answer.ok) return { how: 'done', value: answer.value };
  const refused = (answer.reason as { refused?: string } | undefined)?.refused;
  return { how: refused === undefined || refused === 'failed' ? 'failed' : 'refused', reason: answer.reason };
}
