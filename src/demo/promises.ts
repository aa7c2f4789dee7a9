import {
  keepAttempt,
  keepAwaited,
  keepLooks,
  looksOf,
  newAttempt,
  newAwaited,
  putAsideUntil,
  spendTime,
} from '../core/brief';
import type { BuildId } from '../core/shared/ids';
import type { Handle } from '../data/database';
import { Stater } from './stater';

/** The house: what was tried and dropped, what is still to be chosen, hours, and a day for fresh eyes that has come round. */
export function promisesOfHouse(
  handle: Handle,
  build: BuildId | undefined,
  newId: () => string,
  clock: () => Date,
): void {
  if (!build) throw new Error('promises need a build');
  const s = new Stater(handle, build, newId, clock);
  const attempt = (zone: string) => newAttempt(s.workbench(), s.source(), s.zone(zone));
  s.act(
    keepAttempt(s.workbench(), {
      ...attempt('Tower'),
      what: 'A lamp that turns by a string',
      state: 'dropped',
      end: 'does not move',
      note: 'The string slips; twice round the drum is no better.',
    }),
  );
  s.act(
    keepAttempt(s.workbench(), {
      ...attempt('Quay'),
      what: 'Quay edge of slopes on their side',
      state: 'dropped',
      end: 'looks wrong',
      note: 'Reads as a ramp from the water side.',
    }),
  );
  s.act(keepAttempt(s.workbench(), { ...attempt('Quay'), what: 'Boathouse roof on two hinges' }));
  s.act(
    keepAwaited(s.workbench(), {
      ...newAwaited(s.workbench(), s.source(), s.zone('Quay')),
      what: 'A boat for the slip',
    }),
  );
  s.act(
    keepLooks(s.workbench(), {
      ...looksOf(s.workbench()),
      symmetry: 'uneven on purpose',
      row: 'Harbour row',
    }),
  );
  const [first, second] = s.workbench().modifications;
  for (const [m, minutes, note] of [
    [first, 90, 'an evening'],
    [second, 150, ''],
    [null, 40, 'sorting'],
  ] as const)
    s.act(spendTime(s.workbench(), { modification: m?.id ?? null, minutes, note }, s.source()));
  s.act(putAsideUntil(s.workbench(), '2026-10-31', 'The roof line runs into the tower somehow', s.source()));
}

/** The garden stands in the house's row. */
export function rowOfGarden(
  handle: Handle,
  build: BuildId | undefined,
  newId: () => string,
  clock: () => Date,
): void {
  if (!build) throw new Error('a row needs a build');
  const s = new Stater(handle, build, newId, clock);
  s.act(keepLooks(s.workbench(), { ...looksOf(s.workbench()), row: 'harbour row' }));
}
