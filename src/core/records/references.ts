import { accountOwner, placeOf, type AccountKey, type Place } from '../places';
import type { Field, Fields } from './fields';

/** Whose id stands behind the colon of an account, by its place. */
export const OWNER_TYPES = {
  model: 'zone',
  shipped: 'copy',
  donor: 'copy',
  order: 'order',
  spares: 'build',
  stock: 'tray',
} as const satisfies Partial<Record<Place, string>>;

/** Another record that a record names. */
export interface Reference {
  readonly to: string;
  readonly id: string;
}

/** Gives the new id for an old one, of a record of some type. */
export type Rename = (type: string, id: string) => string;

/** The records that a record names, its accounts' owners among them. What may be gone by now is left out. */
export function* referencesOf(
  fields: Fields,
  record: Readonly<Record<string, unknown>>,
): Generator<Reference> {
  for (const [key, field] of Object.entries(fields)) yield* inField(field, record[key]);
}

function* inField({ shape }: Field<unknown>, value: unknown): Generator<Reference> {
  if (value === null || value === undefined) return;
  if (shape.kind === 'reference' && !shape.loose) yield { to: shape.to, id: value as string };
  if (shape.kind === 'account') {
    const owner = ownerTypeOf(value as AccountKey);
    if (owner) yield { to: owner, id: accountOwner(value as AccountKey) };
  }
  if (shape.kind === 'list') for (const v of value as unknown[]) yield* inField(shape.of, v);
  if (shape.kind === 'object') yield* referencesOf(shape.fields, value as Record<string, unknown>);
}

const ownerTypeOf = (key: AccountKey): string | undefined => {
  const place = placeOf(key);
  return place === 'outside' || place === 'own' || place === 'gone' ? undefined : OWNER_TYPES[place];
};

/** A record with every id in it that names another record put in place of the old one. Its own id is left. */
export function renameReferences<R>(fields: Fields, record: R, rename: Rename): R {
  const old = record as Record<string, unknown>;
  return {
    ...old,
    ...Object.fromEntries(Object.entries(fields).map(([key, f]) => [key, renamed(f, old[key], rename)])),
  } as R;
}

function renamed({ shape }: Field<unknown>, value: unknown, rename: Rename): unknown {
  if (value === null || value === undefined) return value;
  switch (shape.kind) {
    case 'reference':
      return rename(shape.to, value as string);
    case 'account': {
      const owner = ownerTypeOf(value as AccountKey);
      return owner
        ? `${placeOf(value as AccountKey)}:${rename(owner, accountOwner(value as AccountKey))}`
        : value;
    }
    case 'list':
      return (value as unknown[]).map((v) => renamed(shape.of, v, rename));
    case 'object':
      return renameReferences(shape.fields, value, rename);
    default:
      return value;
  }
}
