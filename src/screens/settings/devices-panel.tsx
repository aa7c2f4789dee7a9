'use client';

import { useCallback, useEffect, useState } from 'react';
import { formatDay } from '@/core/shared/forms';
import type { ListedDevice } from '@/sharing';
import { Button } from '@/ui/button';
import { ask, readAnswer } from '../sending/answers';

interface Devices {
  readonly devices: readonly ListedDevice[];
  readonly shared: {
    readonly addresses: readonly string[];
    readonly code: string;
    readonly picture: string;
  } | null;
}

/** How often the code is looked at anew: it changes. */
const AGAIN_MS = 20_000;

/** A phone beside the table: how one is let in, and who has been. */
export function DevicesPanel() {
  const [now, setNow] = useState<Devices | null>(null);
  const look = useCallback(async () => setNow((await ask<Devices>('/api/devices')) ?? null), []);
  useEffect(() => {
    const first = setTimeout(() => void look(), 0);
    const again = setInterval(() => void look(), AGAIN_MS);
    return () => {
      clearTimeout(first);
      clearInterval(again);
    };
  }, [look]);
  const revoke = async (id: string) => {
    const headers = { 'content-type': 'application/json' };
    await readAnswer(() =>
      fetch('/api/devices', { method: 'DELETE', headers, body: JSON.stringify({ id }) }),
    );
    await look();
  };
  if (!now) return null;
  return (
    <section aria-label="A phone beside the table" className="border-rule mt-8 border-t pt-4">
      <h2 className="text-[16px]">A phone beside the table</h2>
      {now.shared ? (
        <div className="mt-2 flex flex-wrap items-start gap-4">
          {/* Drawn by this machine from its own address. */}
          {/* eslint-disable-next-line @next/next/no-img-element */}
          <img
            alt={`The address with the code, as a picture for a phone’s camera: ${now.shared.addresses[0]}`}
            src={`data:image/svg+xml;utf8,${encodeURIComponent(now.shared.picture)}`}
            className="size-40 bg-white"
          />
          <p className="max-w-prose">
            Point a phone’s camera at it, or open <b>{now.shared.addresses[0]}</b> and give the code{' '}
            <b className="font-mono text-[16px]">
              {now.shared.code.slice(0, 4)} {now.shared.code.slice(4)}
            </b>
            . It lets one device in, and changes then. Whoever is in the same network can see what is sent:
            share at home, not in a hall.
          </p>
        </div>
      ) : (
        <p className="mt-1 max-w-prose">
          Evarn answers on this machine only. <code className="font-mono">npm run share</code> in its place
          opens a door to the home network, for devices that you let in by a code.
        </p>
      )}
      {now.devices.length > 0 && (
        <ul className="border-rule mt-3 border-t">
          {now.devices.map((d) => (
            <li key={d.id} className="border-rule flex items-center gap-3 border-b py-1.5">
              <b className="min-w-0 flex-1 truncate">
                <bdi>{d.name}</bdi>
              </b>
              <span className="text-soft">
                let in {formatDay(d.pairedAt)}, last here {formatDay(d.seenAt)}
              </span>
              <Button aria-label={`Revoke ${d.name}`} onClick={() => void revoke(d.id)}>
                Revoke
              </Button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
