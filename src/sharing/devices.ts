import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';

/** A phone or another machine that was let in. Its token is known to it alone: here lies only its fingerprint. */
export interface Device {
  readonly id: string;
  readonly name: string;
  readonly token: string;
  readonly pairedAt: string;
  readonly seenAt: string;
}

/** A device as it is listed. */
export type ListedDevice = Omit<Device, 'token'>;

export const DEVICES_FILE = 'devices.json';
/** More than anybody has on a table. */
const MOST = 50;
/** A device's last visit is kept to so many minutes: not every request is worth a write. */
const SEEN_EVERY_MS = 5 * 60_000;

const fingerprint = (token: string): string => createHash('sha256').update(token).digest('base64url');

/**
 * The devices that may reach a workspace from the home network. They lie beside it and not in it, so that no backup carries them,
 * and are read at each request: one that is revoked on the page is out at its next.
 */
export class DeviceBook {
  private readonly file: string;

  constructor(folder: string) {
    this.file = path.join(folder, DEVICES_FILE);
  }

  private all(): readonly Device[] {
    try {
      return JSON.parse(fs.readFileSync(this.file, 'utf8')) as Device[];
    } catch {
      // Nobody was let in yet; and a list that can't be read lets nobody in.
      return [];
    }
  }

  private write(devices: readonly Device[]): void {
    const beside = `${this.file}.new`;
    fs.writeFileSync(beside, JSON.stringify(devices, null, 1), { mode: 0o600 });
    fs.renameSync(beside, this.file);
  }

  list(): ListedDevice[] {
    return this.all().map(({ id, name, pairedAt, seenAt }) => ({ id, name, pairedAt, seenAt }));
  }

  /** Lets a device in and gives its token, which nobody can ask for again; null where there are too many. */
  add(name: string, now: Date): string | null {
    if (this.all().length >= MOST) return null;
    const token = randomBytes(32).toString('base64url');
    const at = now.toISOString();
    const device = {
      id: randomBytes(6).toString('hex'),
      name,
      token: fingerprint(token),
      pairedAt: at,
      seenAt: at,
    };
    this.write([...this.all(), device]);
    return token;
  }

  /** The device whose token this is; undefined = none, or revoked. */
  find(token: string, now: Date): ListedDevice | undefined {
    const mine = Buffer.from(fingerprint(token));
    const found = this.all().find((d) => {
      const theirs = Buffer.from(d.token);
      return theirs.length === mine.length && timingSafeEqual(theirs, mine);
    });
    if (found && now.getTime() - Date.parse(found.seenAt) > SEEN_EVERY_MS)
      this.write(this.all().map((d) => (d.id === found.id ? { ...d, seenAt: now.toISOString() } : d)));
    return found;
  }

  revoke(id: string): void {
    this.write(this.all().filter((d) => d.id !== id));
  }
}
