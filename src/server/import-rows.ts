import {
  added,
  changed,
  written,
  donorAccount,
  grade,
  joinDiffs,
  modelAccount,
  priceLookup,
  OUTSIDE,
  shippedAccount,
  sparesAccount,
  STOCK_SCOPE,
  stockAccount,
  type Copy,
  type Diff,
  type Entry,
  type Movement,
  type PriceOf,
  type Zone,
} from '@/core/ledger';
import { aliasKey, stockEntry } from '@/core/formats';
import {
  asId,
  type BuildId,
  type ColourId,
  type CopyId,
  type EntryId,
  type IdSource,
  type TrayId,
  type ZoneId,
} from '@/core/shared/ids';
import { readRecord, readRecords } from '@/data/records';
import type { Handle } from '@/data/database';
import { fingerprint, perform, type Performed, type Refusal } from './perform';
import type { Result } from '@/core/shared/result';
import { cutText } from '@/core/shared/text';
import { keepImported } from './own-sets';
import type { ImportBoxes, ImportPrices, ImportRegister, ImportStock } from './import-schemas';

export interface ImportContext {
  readonly handle: Handle;
  readonly newId: IdSource;
  readonly now: Date;
}

type Taken = Result<
  Performed & { readonly build?: BuildId },
  Refusal | { readonly refused: 'no such build' }
>;

/** Brings boxes in as one action: all or nothing, and undone as one. */
export function importBoxes(input: ImportBoxes, context: ImportContext): Taken {
  const { handle, newId, now } = context;
  const isNew = 'name' in input.build;
  const buildId = asId<BuildId>('id' in input.build ? input.build.id : newId());
  if (!isNew && !readRecord(handle.db, 'build', buildId))
    return { ok: false, reason: { refused: 'no such build' } };
  const { root, zones, diff: start } = buildStart(input, buildId, context);
  const priceOf = priceLookup(readRecords(handle.db, 'price'));
  const boxes = input.boxes.flatMap((b) =>
    Array.from({ length: b.copies }, () =>
      unpack(b, buildId, root, zones, priceOf, newId, now.toISOString()),
    ),
  );
  const newZones = [...zones.values()].filter((z) => z.fresh).map((z) => z.zone);
  const sets = [...new Set(input.boxes.map((b) => b.setName))].join(' and ');
  const label = sets || !('name' in input.build) ? `import ${sets}` : `begin ${input.build.name}`;
  const diff = joinDiffs(
    start,
    added('zone', ...newZones),
    ...boxes,
    extras(input.colours, input.memory, handle),
  );
  const done = perform(
    handle,
    { id: asId(input.request), scope: buildId, label: cutText(label, 500), diff },
    now,
    fingerprint(input),
  );
  if (done.ok) keepImported(handle, input.boxes, now);
  // What was sent before came to the build that was made then.
  return done.ok ? { ok: true, value: { ...done.value, build: asId<BuildId>(done.value.scope) } } : done;
}

interface ZoneSlot {
  readonly zone: Zone;
  readonly fresh: boolean;
}

function buildStart(input: ImportBoxes, id: BuildId, { handle, newId, now }: ImportContext) {
  const zones = new Map<string, ZoneSlot>();
  const old = readRecords(handle.db, 'zone', id);
  for (const zone of old) zones.set(zone.name.toLowerCase(), { zone, fresh: false });
  const rootOld = old.find((z) => z.parent === null);
  const rootName = 'Whole model';
  const root: Zone = rootOld ?? {
    id: asId<ZoneId>(newId()),
    build: id,
    parent: null,
    name: rootName,
    position: 0,
  };
  const named = [...new Set(input.boxes.flatMap((b) => b.lots.map((l) => l.zone.trim())))].filter(Boolean);
  named.forEach((n, i) => {
    if (zones.has(n.toLowerCase())) return;
    const zone: Zone = {
      id: asId<ZoneId>(newId()),
      build: id,
      parent: root.id,
      name: n,
      position: old.length + i + 1,
    };
    zones.set(n.toLowerCase(), { zone, fresh: true });
  });
  const diff: Diff[] = [];
  if ('name' in input.build)
    diff.push(
      added('build', { id, name: input.build.name, note: '', createdAt: now.toISOString(), archived: false }),
    );
  if (!rootOld) diff.push(added('zone', root));
  return { root, zones, diff: joinDiffs(...diff) };
}

/** One physical box: its copy, and the entry that puts its pieces on the model, its extras with the spares. */
function unpack(
  b: ImportBoxes['boxes'][number],
  build: BuildId,
  root: Zone,
  zones: ReadonlyMap<string, ZoneSlot>,
  priceOf: PriceOf,
  newId: IdSource,
  now: string,
): Diff {
  const copy: Copy = {
    id: asId<CopyId>(newId()),
    build,
    setName: b.setName,
    setCode: b.setCode,
    condition: b.condition,
    role: b.role,
    price: b.price,
  };
  const movements = b.lots.map((l): Movement => {
    const g = grade(l.condition ?? (b.condition === 'new' ? 'new' : 'used'));
    const zone = zones.get(l.zone.trim().toLowerCase())?.zone ?? root;
    const to =
      b.role === 'donor' ? donorAccount(copy.id) : l.extra ? sparesAccount(build) : modelAccount(zone.id);
    return {
      element: l.element,
      grade: g,
      qty: l.qty,
      from: shippedAccount(copy.id),
      to,
      worth: priceOf(l.element, g),
    };
  });
  const entry: Entry = {
    ...stockEntry(asId<EntryId>(newId()), movements, b.setName, now),
    build,
    kind: 'unpack',
  };
  return joinDiffs(added('copy', copy), added('entry', entry));
}

/** Colours made new, names matched by hand and the columns, to be remembered with what was taken. */
function extras(input: ImportBoxes['colours'], remembered: ImportBoxes['memory'], handle: Handle): Diff {
  const made = input.made
    .filter((c) => !readRecord(handle.db, 'customColour', c.id))
    .map((c) => ({ ...c, id: asId<ColourId>(c.id) }));
  const aliases = input.matched.map(({ text, colour }) => {
    const alias = { id: aliasKey(text), colour: asId<ColourId>(colour) };
    const old = readRecord(handle.db, 'colourAlias', alias.id);
    return old?.colour === alias.colour ? joinDiffs() : written('colourAlias', old, alias);
  });
  const old = remembered ? readRecord(handle.db, 'columnMemory', remembered.key) : undefined;
  const columns = remembered
    ? written('columnMemory', old ?? undefined, { id: remembered.key, roles: remembered.roles })
    : joinDiffs();
  return joinDiffs(added('customColour', ...made), ...aliases, columns);
}

/** Counts pieces into trays. Trays that are not there yet are made. */
export function importStock(input: ImportStock, { handle, newId, now }: ImportContext): Taken {
  const trays = new Map(
    readRecords(handle.db, 'tray').map((t) => [t.name.toLowerCase(), { tray: t, fresh: false }]),
  );
  const trayFor = (lot: ImportStock['lots'][number]) => {
    const wanted = lot.tray.trim() || input.tray;
    const known = trays.get(wanted.toLowerCase());
    if (known) return known.tray;
    const tray = { id: asId<TrayId>(newId()), name: wanted, place: lot.place, position: trays.size + 1 };
    trays.set(wanted.toLowerCase(), { tray, fresh: true });
    return tray;
  };
  const movements = input.lots.map((l): Movement => {
    const tray = trayFor(l);
    return {
      element: l.element,
      grade: grade(l.condition ?? 'used'),
      qty: l.qty,
      from: OUTSIDE,
      to: stockAccount(tray.id),
      worth: l.worth,
    };
  });
  const entry = stockEntry(asId<EntryId>(newId()), movements, 'counted in', now.toISOString());
  const fresh = [...trays.values()].filter((t) => t.fresh).map((t) => t.tray);
  const pieces = input.lots.reduce((s, l) => s + l.qty, 0);
  const diff = joinDiffs(
    added('tray', ...fresh),
    added('entry', entry),
    extras(input.colours, input.memory, handle),
  );
  return perform(
    handle,
    { id: asId(input.request), scope: STOCK_SCOPE, label: `add ${pieces} pieces to own parts`, diff },
    now,
    fingerprint(input),
  );
}

/** Writes prices into the price book. What a row does not say stays as it was. */
export function importPrices(input: ImportPrices, { handle, now }: ImportContext): Taken {
  const merged = new Map<string, ImportPrices['prices'][number]>();
  for (const p of input.prices) {
    const before = merged.get(p.element);
    merged.set(p.element, {
      ...p,
      newPrice: p.newPrice ?? before?.newPrice ?? null,
      usedPrice: p.usedPrice ?? before?.usedPrice ?? null,
    });
  }
  const known = new Map(readRecords(handle.db, 'price').map((p) => [p.id, p]));
  const diffs = [...merged.values()].map((p) => {
    const old = known.get(p.element);
    if (!old) return added('price', { ...p, id: p.element });
    const next = { newPrice: p.newPrice ?? old.newPrice, usedPrice: p.usedPrice ?? old.usedPrice };
    return next.newPrice === old.newPrice && next.usedPrice === old.usedPrice
      ? joinDiffs()
      : changed('price', old, next);
  });
  const diff = joinDiffs(...diffs, extras(input.colours, input.memory, handle));
  return perform(
    handle,
    { id: asId(input.request), scope: STOCK_SCOPE, label: `set ${merged.size} prices`, diff },
    now,
    fingerprint(input),
  );
}

/** Adds to the register: which elements were made, from when to when. A row for one that is known takes its place. */
export function importRegister(input: ImportRegister, { handle, now }: ImportContext): Taken {
  const rows = new Map(input.made.map((m) => [m.element, m]));
  const known = new Map(readRecords(handle.db, 'madeIn').map((m) => [m.id, m]));
  const diffs = [...rows.values()].map((m) => {
    return written('madeIn', known.get(m.element), { ...m, id: m.element });
  });
  const diff = joinDiffs(...diffs, extras(input.colours, input.memory, handle));
  return perform(
    handle,
    { id: asId(input.request), scope: STOCK_SCOPE, label: `add ${rows.size} to the register`, diff },
    now,
    fingerprint(input),
  );
}
