import type { AccountKey, Grade } from '../places';
import type { ElementKey } from '../parts';
import { LIMITS } from '../shared/bounds';

/**
 * What one field of a record may hold, as plain data: the schema at the door, the column in the database and the renaming
 * of ids all follow from it. `T` is the type that it has in the program.
 */
export interface Field<T> {
  readonly shape: Shape;
  readonly nullable: boolean;
  /** The name of its column, where that is not the field's own. */
  readonly column?: string;
  readonly __type?: T;
}

export type Shape =
  | {
      readonly kind: 'text';
      readonly min: number;
      readonly max: number;
      readonly trim: boolean;
      readonly pattern: RegExp | null;
    }
  | { readonly kind: 'number'; readonly whole: boolean; readonly min: number; readonly max: number }
  | { readonly kind: 'flag' }
  | { readonly kind: 'choice'; readonly of: readonly string[] }
  /** The id of a record of type `to`. `loose`: it may be gone by now. */
  | { readonly kind: 'reference'; readonly to: string; readonly max: number; readonly loose: boolean }
  | { readonly kind: 'account' }
  | { readonly kind: 'element' }
  | { readonly kind: 'grade' }
  | { readonly kind: 'list'; readonly of: Field<unknown>; readonly least: number; readonly most: number }
  | { readonly kind: 'object'; readonly fields: Fields };

export type Fields = Readonly<Record<string, Field<unknown>>>;

/** The type of a record with these fields. */
export type ValueOf<F extends Fields> = {
  readonly [K in keyof F]: F[K] extends Field<infer T> ? T : never;
};

const field = <T>(shape: Shape): Field<T> => ({ shape, nullable: false });

/** The same field, which may hold nothing. */
export const orNull = <T>(f: Field<T>): Field<T | null> => ({ ...f, nullable: true }) as Field<T | null>;

/** The same field, in a column of another name. */
export const inColumn = <T>(column: string, f: Field<T>): Field<T> => ({ ...f, column });

const text = <T = string>(max: number, min = 0, more: { trim?: boolean; pattern?: RegExp } = {}): Field<T> =>
  field({ kind: 'text', min, max, trim: more.trim ?? false, pattern: more.pattern ?? null });

/** An id of the record itself, or a short name from elsewhere: a colour's id. */
export const id = <T extends string>(): Field<T> => text<T>(LIMITS.id, 1);
/** An id that follows from what the record speaks of, and so may be longer. */
export const longId = <T extends string = string>(): Field<T> => text<T>(LIMITS.element + LIMITS.id, 1);
/** A name that a person gave; never empty. */
export const name = <T extends string = string>(): Field<T> => text<T>(LIMITS.name, 1, { trim: true });
/** A name that may be left empty. */
export const short = (): Field<string> => text(LIMITS.name);
export const note = (): Field<string> => text(LIMITS.note);
/** ISO 8601, or empty. */
export const date = (): Field<string> => text(40);
export const matching = <T extends string = string>(pattern: RegExp, max = 400): Field<T> =>
  text<T>(max, 0, { pattern });

/** The id of another record. */
export const reference = <T extends string>(to: string): Field<T> =>
  field({ kind: 'reference', to, max: LIMITS.id, loose: false });
/** The id of a record that may be gone by now. */
export const mention = <T extends string>(to: string): Field<T> =>
  field({ kind: 'reference', to, max: LIMITS.id, loose: true });
export const longReference = <T extends string>(to: string): Field<T> =>
  field({ kind: 'reference', to, max: LIMITS.element + LIMITS.id, loose: false });

export const whole = (min: number, max: number): Field<number> =>
  field({ kind: 'number', whole: true, min, max });
export const number = (min: number, max: number): Field<number> =>
  field({ kind: 'number', whole: false, min, max });
/** Pieces, 0 or more. */
export const pieces = (): Field<number> => whole(0, LIMITS.qty);
/** Pieces, at least one. */
export const somePieces = (): Field<number> => whole(1, LIMITS.qty);
/** Minor units of the currency. */
export const money = (): Field<number> => whole(0, LIMITS.money);
/** Place in an order; any number. */
export const position = (): Field<number> => number(-1e9, 1e9);
export const flag = (): Field<boolean> => field({ kind: 'flag' });
export const choice = <const T extends readonly string[]>(of: T): Field<T[number]> =>
  field({ kind: 'choice', of });
export const account = (): Field<AccountKey> => field({ kind: 'account' });
export const element = (): Field<ElementKey> => field({ kind: 'element' });
export const grade = (): Field<Grade> => field({ kind: 'grade' });
export const list = <T>(of: Field<T>, most: number, least = 0): Field<readonly T[]> =>
  field({ kind: 'list', of, least, most });
export const object = <F extends Fields>(fields: F): Field<ValueOf<F>> => field({ kind: 'object', fields });
/** Elements, each with a number of pieces. */
export const lots = () => list(object({ element: element(), qty: somePieces() }), 2000);
