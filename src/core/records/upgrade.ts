import { RECORDS } from './all';
import { settingNow } from './earlier-settings';
import type { Field, Fields } from './fields';
import { recordSpec, type RecordType } from './registry';

type Old = Readonly<Record<string, unknown>>;

const EARLIER_TYPES = new Map<string, RecordType>(
  RECORDS.flatMap((s) => (s.earlier?.types ?? []).map((t): [string, RecordType] => [t, s.type])),
);

/** Today's name of a kind of record: recordTypeNow('leftSlip') = 'leftMismatch'. */
export const recordTypeNow = (type: string): string => EARLIER_TYPES.get(type) ?? type;

/** Today's name of a scope of undo: what was kept under "stores" stands under "stock". */
export const scopeNow = (scope: string): string => (scope === 'stores' ? 'stock' : scope);

/** Today's name of an account: accountNow('stores:tray-1') = 'stock:tray-1'. */
const accountNow = (account: unknown): unknown =>
  typeof account === 'string' && account.startsWith('stores:') ? `stock:${account.slice(7)}` : account;

/**
 * A record as it was written by an earlier program, in today's shape: fields that have come since get the value that
 * the migration of the database gives them too. What is up to date comes back as it is.
 *
 * upgradeRecord('modification', { ...old, title: 'Porch' }) = { ...old, title: 'Porch', purpose: null }
 */
export function upgradeRecord<T>(type: RecordType, record: T): T {
  if (typeof record !== 'object' || !record) return record;
  const spec = recordSpec(type);
  const old = accountsNow(spec.fields, record as Old);
  return (spec.earlier?.upgrade?.(old) ?? old) as T;
}

/**
 * A named record, or a change of one, as an earlier program kept it, as it is today; `keys` are the fields that hold
 * records. Undefined where nothing is kept under that name any more.
 */
export function upgradeTyped<T extends { readonly type: string }>(
  old: T,
  keys: readonly (keyof T & string)[],
): T | undefined {
  if (old.type === 'setting') return settingsNow(old, keys);
  const type = recordTypeNow(old.type) as RecordType;
  return { ...old, type, ...Object.fromEntries(keys.map((k) => [k, upgradeRecord(type, old[k])])) };
}

function settingsNow<T extends { readonly type: string }>(
  old: T,
  keys: readonly (keyof T & string)[],
): T | undefined {
  const now = keys.map((k) => [k, settingNow(old[k] as never)] as const);
  const type = now[0]?.[1]?.type;
  return type && ({ ...old, type, ...Object.fromEntries(now.map(([k, n]) => [k, n?.record])) } as T);
}

function accountsNow(fields: Fields, old: Old): Old {
  const changed = Object.entries(fields).flatMap(([key, field]) => {
    const now = valueNow(field, old[key]);
    return now === old[key] ? [] : [[key, now]];
  });
  return changed.length > 0 ? { ...old, ...Object.fromEntries(changed) } : old;
}

function valueNow({ shape }: Field<unknown>, value: unknown): unknown {
  if (shape.kind === 'account') return accountNow(value);
  if (shape.kind === 'object' && typeof value === 'object' && value)
    return accountsNow(shape.fields, value as Old);
  if (shape.kind !== 'list' || !Array.isArray(value)) return value;
  const now = value.map((v) => valueNow(shape.of, v));
  return now.every((v, i) => v === value[i]) ? value : now;
}
