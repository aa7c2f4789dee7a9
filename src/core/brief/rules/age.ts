import type { Entry } from '../../ledger';
import { splitElementKey } from '../../parts';
import { conditionOf, isWorn, placeOf, zoneOf, type AccountKey } from '../../places';
import type { Workbench } from '../../workbench';
import { unbroken, type Rule } from '../rule';

const counts = (e: Entry): boolean => e.whatIf === null && e.kind !== 'unpack';

/** Pieces that age has changed stay as they are: entries that renew what is faded break it. */
export const leaveAge: Rule = {
  id: 'leave the age',
  name: 'Leave the age as it is',
  asks: 'nothing',
  ofBooks: (workbench) =>
    unbroken(
      [],
      workbench.entries.filter((e) => counts(e) && renewsAge(e)).map((e) => e.id),
    ),
  brokenBy: (entry) => renewsAge(entry),
};

const renewsAge = (e: Entry): boolean => e.kind === 'renew' && e.why === 'faded';

/** A zone and a colour, to hold what is new against what has aged there. */
const place = (account: AccountKey, element: Entry['movements'][number]['element']): string =>
  `${zoneOf(account)}|${splitElementKey(element).colour}`;

/** Zones and colours of which more pieces have aged than not. */
function aged(workbench: Workbench): ReadonlySet<string> {
  const sums = new Map<string, number>();
  for (const r of workbench.built.balances.rows((a) => placeOf(a) === 'model')) {
    const key = place(r.account, r.element);
    const worn = ['faded', 'yellowed'].includes(conditionOf(r.grade));
    sums.set(key, (sums.get(key) ?? 0) + (worn ? r.qty : -r.qty));
  }
  return new Set([...sums].flatMap(([key, n]) => (n > 0 ? [key] : [])));
}

const shines = (e: Entry, among: ReadonlySet<string>): boolean =>
  e.movements.some(
    (m) =>
      placeOf(m.to) === 'model' &&
      placeOf(m.from) !== 'model' &&
      conditionOf(m.grade) === 'new' &&
      among.has(place(m.to, m.element)),
  );

/** Nothing new is put in among pieces of its colour that have aged. */
export const matchAge: Rule = {
  id: 'match the age',
  name: 'Match the age',
  asks: 'nothing',
  ofBooks: (workbench) => {
    const among = aged(workbench);
    return unbroken(
      [],
      workbench.entries.filter((e) => counts(e) && shines(e, among)).map((e) => e.id),
    );
  },
  brokenBy: (entry, workbench) => shines(entry, aged(workbench)),
};

/** Nothing worn is left on the model as planned: the zones where something is. */
export const renewAge: Rule = {
  id: 'renew what aged',
  name: 'Renew what has aged',
  asks: 'nothing',
  ofBooks: (workbench) => {
    const zones = new Map<string, number>();
    for (const r of workbench.planned.balances.rows((a) => placeOf(a) === 'model'))
      if (r.qty > 0 && isWorn(r.grade)) {
        const name = workbench.zones.find((z) => z.id === zoneOf(r.account))?.name ?? 'the model';
        zones.set(name, (zones.get(name) ?? 0) + r.qty);
      }
    return unbroken([...zones].map(([name, n]) => `${name} (${n})`));
  },
};
