import { doorSteps, housesMeet, sharedBase, type StreetHouse } from '@/core/fit';
import type { Plot } from '@/core/records';
import { doorWords, meetWords, studs } from '../words/plot';
import { list } from '../words/places';
import { Street } from './street';

/** The street to scale: where the house and those beside it meet, what lies before its doors, what is left of a shared base. */
export function StreetPanel({ street, plot }: { street: readonly StreetHouse[]; plot: Plot }) {
  const at = street.findIndex((h) => h.isOwn);
  const own = street[at]!;
  const beside = [street[at - 1], street[at + 1]].filter((h) => h !== undefined);
  const steps = doorSteps(own);
  const base = sharedBase(street, plot);
  return (
    <section aria-label="The street" className="bg-background text-background-ink mb-4 rounded-lg p-4">
      <h2 className="mb-2 text-[16px]">The street, to scale</h2>
      <Street houses={street} />
      <ul>
        {beside.map((other) => (
          <li key={`${other.name} ${other.from}`}>
            <b>{other.name}</b>: {meetWords(housesMeet(own, other))}
          </li>
        ))}
        {steps.length > 0 && (
          <li>
            <b>Doors</b>: {list(steps.map(doorWords))}.
          </li>
        )}
        {base && (
          <li>
            <b>One base</b> under {list(base.names)}:{' '}
            {base.left < 0
              ? `▲ ${studs(-base.left)} lack in width.`
              : `${studs(base.left)} of its width are left.`}
          </li>
        )}
      </ul>
    </section>
  );
}
