import fs from 'node:fs';
import path from 'node:path';

/** What the page of the machine itself shows while it is shared: where, and the code of now. */
export interface SharedNow {
  readonly pid: number;
  readonly addresses: readonly string[];
  readonly code: string;
}

const fileOf = (folder: string): string => path.join(folder, 'sharing.json');

export function tellShared(folder: string, now: SharedNow): void {
  fs.mkdirSync(folder, { recursive: true });
  fs.writeFileSync(fileOf(folder), JSON.stringify(now), { mode: 0o600 });
}

export const endShared = (folder: string): void => fs.rmSync(fileOf(folder), { force: true });

/** Null while nothing is shared, also where the process that shared has ended without a word. */
export function sharedNow(folder: string): SharedNow | null {
  try {
    const told = JSON.parse(fs.readFileSync(fileOf(folder), 'utf8')) as SharedNow;
    process.kill(told.pid, 0);
    return told;
  } catch {
    return null;
  }
}
