import * as z from '../shared/zod';
import {
  CONDITIONS,
  isAccountKey,
  isGrade,
  RECORD_TYPES,
  recordSpec,
  scopeNow,
  upgradeDiff,
  type Action,
  type AccountKey,
  type Diff,
  type Field,
  type Fields,
  type Grade,
  type RecordType,
  type RecordTypes,
} from '../ledger';
import type { ElementKey } from '../parts';
import { LIMITS } from '../shared/bounds';
import { isWholeText } from '../shared/text';

/** Text that comes back from the database as it went in: half characters and zero bytes do not. */
const whole = () => z.string().refine(isWholeText, { message: 'half a character, or a zero byte' });

export const elementSchema = whole()
  .max(LIMITS.element)
  .regex(/^[^|]+\|[^|]+(\|[^|]+)?$/) as unknown as z.ZodType<ElementKey>;
const gradePattern = new RegExp(`^(${CONDITIONS.join('|')})(:[\\w -]{1,40})?$`);
export const gradeSchema = z.string().regex(gradePattern).refine(isGrade) as unknown as z.ZodType<Grade>;
const accountSchema = whole()
  .max(120)
  .regex(/^(outside|own|(shipped|model|spares|stock|donor|order|gone|own):.+)$/)
  .refine(isAccountKey) as unknown as z.ZodType<AccountKey>;

/** The schema of one field: what it may hold, checked as its definition says. */
function fieldSchema({ shape, nullable }: Field<unknown>): z.ZodType {
  const schema = shapeSchema(shape);
  return nullable ? schema.nullable() : schema;
}

function shapeSchema(shape: Field<unknown>['shape']): z.ZodType {
  switch (shape.kind) {
    case 'text':
      return textSchema(shape);
    case 'number':
      // Adding nothing makes "minus nought" nought, which is what the database gives back.
      return shape.whole
        ? z.int().min(shape.min).max(shape.max)
        : z
            .number()
            .min(shape.min)
            .max(shape.max)
            .overwrite((v) => v + 0);
    case 'flag':
      return z.boolean();
    case 'choice':
      return shape.of.length === 1 ? z.literal(shape.of[0]!) : z.enum(shape.of as [string, ...string[]]);
    case 'reference':
      return whole().min(1).max(shape.max);
    case 'account':
      return accountSchema;
    case 'element':
      return elementSchema;
    case 'grade':
      return gradeSchema;
    case 'list':
      return listSchema(shape);
    case 'object':
      return fieldsSchema(shape.fields);
  }
}

function listSchema({ of, least, most }: Extract<Field<unknown>['shape'], { kind: 'list' }>): z.ZodType {
  const list = z.array(fieldSchema(of)).max(most);
  return least > 0 ? list.min(least) : list;
}

function textSchema(shape: Extract<Field<unknown>['shape'], { kind: 'text' }>): z.ZodType {
  let schema = shape.trim ? whole().trim() : whole();
  if (shape.min > 0) schema = schema.min(shape.min);
  schema = schema.max(shape.max);
  return shape.pattern ? schema.regex(shape.pattern) : schema;
}

const fieldsSchema = (fields: Fields) =>
  z.strictObject(Object.fromEntries(Object.entries(fields).map(([key, f]) => [key, fieldSchema(f)])));

function compile(type: RecordType): z.ZodType {
  const { fields, holds } = recordSpec(type);
  const schema = fieldsSchema(fields);
  return holds ? schema.refine((r) => holds.test(r as never), { message: holds.says }) : schema;
}

const shapes = new Map(RECORD_TYPES.map((type) => [type, compile(type)]));

/** The schema of a kind of record, as its definition says. */
export const recordSchema = <T extends RecordType>(type: T): z.ZodType<RecordTypes[T]> =>
  shapes.get(type) as z.ZodType<RecordTypes[T]>;

const typed = z.discriminatedUnion(
  'type',
  RECORD_TYPES.map((type) => z.strictObject({ type: z.literal(type), record: recordSchema(type) })) as never,
);
const change = z.discriminatedUnion(
  'type',
  RECORD_TYPES.map((type) =>
    z.strictObject({ type: z.literal(type), from: recordSchema(type), to: recordSchema(type) }),
  ) as never,
);

/** A diff as it comes in at the door. */
export const diffSchema = z.strictObject({
  added: z.array(typed).max(LIMITS.movements),
  changed: z.array(change).max(LIMITS.movements),
  removed: z.array(typed).max(LIMITS.movements),
}) as unknown as z.ZodType<Diff>;

const action = z.strictObject({
  id: whole().min(1).max(LIMITS.id),
  scope: whole().min(1).max(LIMITS.id),
  label: whole().max(LIMITS.label),
  diff: diffSchema,
});

/**
 * An action as it comes in at the door. A window that was opened before an update may still have actions to send whose
 * records have their earlier names.
 */
export const actionSchema = z.preprocess((input) => {
  try {
    const { scope, diff, ...rest } = input as Action;
    return { ...rest, scope: scopeNow(scope), diff: upgradeDiff(diff) };
  } catch {
    // It has not the shape of an action at all: the schema says what is wrong with it.
    return input;
  }
}, action) as unknown as z.ZodType<Action>;
