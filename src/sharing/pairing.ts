import { randomInt } from 'node:crypto';

/** Letters and digits that are not taken for one another when they are read off a screen. */
const SIGNS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
const LENGTH = 8;
const LASTS_MS = 15 * 60_000;
const WRONG_TRIES = 5;

export const newCode = (): string =>
  Array.from({ length: LENGTH }, () => SIGNS[randomInt(SIGNS.length)]).join('');

/**
 * The code that lets a device in: for a quarter of an hour, once, and a new one after some wrong tries, so that guessing never gets
 * nearer.
 */
export class Pairing {
  private code = newCode();
  private until: number;
  private wrong = 0;

  constructor(
    now: Date,
    private readonly onCode: (code: string) => void = () => {},
  ) {
    this.until = now.getTime() + LASTS_MS;
    onCode(this.code);
  }

  private renew(now: Date): void {
    this.code = newCode();
    this.until = now.getTime() + LASTS_MS;
    this.wrong = 0;
    this.onCode(this.code);
  }

  /** The code as it is now. */
  now(now: Date): string {
    if (now.getTime() > this.until) this.renew(now);
    return this.code;
  }

  /** Whether a code lets in. Then it has done so, and another takes its place. */
  claim(said: string, now: Date): boolean {
    const right = this.now(now) === said.trim().toUpperCase().replace(/[\s-]/g, '');
    if (right || ++this.wrong >= WRONG_TRIES) this.renew(now);
    return right;
  }
}
