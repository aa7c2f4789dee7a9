import { z } from 'zod';
import {
  CONDITIONS,
  DISPLAYS,
  ENTRY_KIND_NAMES,
  isAccountKey,
  FINDING_KINDS,
  isGrade,
  MODIFICATION_PURPOSES,
  RECORD_TYPES,
  SEEN,
  WHYS,
  type AccountKey,
  type Diff,
  type Grade,
  type RecordType,
  type RecordTypes,
} from '../ledger';
import { COLOUR_FAMILIES, FINISHES } from '../colour';
import type { ElementKey } from '../parts';
import { LIMITS } from '../shared/bounds';
import { isWholeText } from '../shared/text';

/** Text that comes back from the database as it went in: half characters and zero bytes do not. */
const whole = () => z.string().refine(isWholeText, { message: 'half a character, or a zero byte' });

const id = whole().min(1).max(LIMITS.id);
const name = whole().trim().min(1).max(LIMITS.name);
const text = whole().max(LIMITS.note);
const short = whole().max(LIMITS.name);
const money = z.int().min(0).max(LIMITS.money);
const no = z.int().min(0).max(LIMITS.no);
/** Adding nothing makes "minus nought" nought, which is what the database gives back. */
const position = z
  .number()
  .min(-1e9)
  .max(1e9)
  .overwrite((v) => v + 0);

export const elementSchema = whole()
  .max(LIMITS.element)
  .regex(/^[^|]+\|[^|]+(\|[^|]+)?$/) as unknown as z.ZodType<ElementKey>;
const gradePattern = new RegExp(`^(${CONDITIONS.join('|')})(:[\\w -]{1,40})?$`);
export const gradeSchema = z.string().regex(gradePattern).refine(isGrade) as unknown as z.ZodType<Grade>;
const account = whole()
  .max(120)
  .regex(/^(outside|(shipped|model|spares|stores|donor|order|gone):.+)$/)
  .refine(isAccountKey) as unknown as z.ZodType<AccountKey>;

const movement = z.strictObject({
  element: elementSchema,
  grade: gradeSchema,
  qty: z.int().min(1).max(LIMITS.qty),
  from: account,
  to: account,
  worth: money.nullable(),
});

const longId = whole()
  .min(1)
  .max(LIMITS.element + LIMITS.id);
const qty = z.int().min(0).max(LIMITS.qty);
const date = whole().max(40);
const year = z.int().min(1900).max(2200);
const span = z.number().min(0).max(100_000);
const size = z.strictObject({ length: span, width: span, height: span });

const lots = z
  .array(z.strictObject({ element: elementSchema, qty: z.int().min(1).max(LIMITS.qty) }))
  .max(2000);

/** One schema for each kind of record; ids are branded by the types they are cast to. */
const shapes = {
  build: z.strictObject({ id, name, note: text, createdAt: date, archived: z.boolean() }),
  copy: z.strictObject({
    id,
    build: id,
    setName: name,
    setCode: short,
    condition: z.enum(['new', 'second-hand']),
    role: z.enum(['base', 'donor']),
    price: money,
  }),
  zone: z.strictObject({ id, build: id, parent: id.nullable(), name, position }),
  phase: z.strictObject({ id, build: id, name, position }),
  modification: z.strictObject({
    id,
    build: id,
    no: no.min(1),
    title: name,
    zone: id,
    phase: id.nullable(),
    why: text,
    note: text,
    position,
    purpose: z.enum(MODIFICATION_PURPOSES).nullable(),
  }),
  whatIf: z.strictObject({ id, build: id, name, note: text }),
  assembly: z.strictObject({ id, build: id, name, lots }),
  order: z.strictObject({
    id,
    build: id,
    seller: name,
    postage: money,
    due: date,
    placedAt: date,
  }),
  tray: z.strictObject({ id, name, place: short, position }),
  price: z.strictObject({
    id: whole().max(LIMITS.element),
    element: elementSchema,
    newPrice: money.nullable(),
    usedPrice: money.nullable(),
  }),
  customColour: z.strictObject({
    id: z.string().regex(/^[a-z0-9][a-z0-9-]{0,60}$/),
    name,
    hex: z.string().regex(/^#[0-9a-f]{6}$/i),
    family: z.enum(COLOUR_FAMILIES),
    finish: z.enum(FINISHES),
  }),
  colourAlias: z.strictObject({ id: short.min(1), colour: id }),
  columnMemory: z.strictObject({
    id: text,
    roles: z.array(z.string().max(40)).max(200),
  }),
  surveyCard: z.strictObject({
    id,
    build: id,
    display: z.enum(DISPLAYS),
    away: z.array(id).max(2000),
    found: size.nullable(),
    built: size.nullable(),
  }),
  countLine: z
    .strictObject({
      id: longId,
      build: id,
      copy: id,
      zone: id,
      element: elementSchema,
      expected: qty,
      there: qty,
      broken: qty,
      faded: qty,
      bare: qty,
      wanted: z.boolean(),
      at: date,
    })
    .refine((c) => c.there + c.broken <= c.expected && c.faded + c.bare <= c.there, {
      message: 'more pieces counted than the box holds',
    }),
  finding: z.strictObject({
    id,
    build: id,
    kind: z.enum(FINDING_KINDS),
    zone: id,
    lots,
    to: elementSchema.nullable(),
    note: text,
    matters: z.int().min(1).max(3),
    photo: id.nullable(),
    modification: id.nullable(),
    answer: z.enum(['there', 'lost']).nullable(),
    dropped: z.boolean(),
    at: date,
  }),
  reading: z.strictObject({
    id,
    account,
    element: elementSchema,
    batch: z.string().regex(/^[\w-]{1,40}$/),
    qty: z.int().min(1).max(LIMITS.qty),
    l: z.number().min(-20).max(120),
    a: z.number().min(-200).max(200),
    b: z.number().min(-200).max(200),
    white: z.literal('D65'),
    spread: z.number().min(0).max(1000),
    count: z.int().min(1).max(1e9),
    how: z.enum(['meter', 'photo']),
    made: text,
    measure: z.literal('CIEDE2000'),
    trusted: z.boolean(),
    doubt: text,
    at: date,
  }),
  exposure: z.strictObject({
    id: longId,
    build: id,
    zone: id,
    element: elementSchema,
    seen: z.enum(SEEN),
    hidden: qty,
  }),
  scheme: z.strictObject({ id, build: id, zone: id, colours: z.array(id).max(60) }),
  leftSlip: z.strictObject({ id: longId, build: id, zone: id, element: elementSchema, reason: text }),
  whitening: z.strictObject({
    id,
    build: id,
    account,
    element: elementSchema,
    qty: z.int().min(1).max(LIMITS.qty),
    before: id,
    after: id.nullable(),
    startedAt: date,
    endedAt: date.nullable(),
    note: text,
  }),
  madeIn: z.strictObject({ id: longId, element: elementSchema, from: year.nullable(), to: year.nullable() }),
  setting: z.strictObject({ id, values: z.array(z.number().min(-1e9).max(1e9)).max(20) }),
  watch: z.strictObject({
    id,
    element: elementSchema,
    qty: z.int().min(1).max(LIMITS.qty),
    note: text,
    at: date,
  }),
  kept: z.strictObject({ id, name, account, lots }),
  poolModel: z.strictObject({
    id,
    build: id,
    name,
    musts: z
      .array(z.strictObject({ part: name, colour: id.nullable(), qty: z.int().min(1).max(LIMITS.qty) }))
      .max(500),
    colours: z.array(id).max(100),
    shares: z.boolean(),
  }),
  entry: z.strictObject({
    id,
    build: id.nullable(),
    modification: id.nullable(),
    kind: z.enum(ENTRY_KIND_NAMES as [string, ...string[]]),
    state: z.enum(['planned', 'done']),
    no,
    position,
    why: z.enum(WHYS).nullable(),
    note: text,
    hidden: z.boolean(),
    standsFor: elementSchema.nullable(),
    whatIf: id.nullable(),
    assembly: id.nullable(),
    order: id.nullable(),
    line: id.nullable(),
    counted: longId.nullable(),
    loggedAt: date,
    movements: z.array(movement).min(1).max(LIMITS.movements),
  }),
} satisfies Record<RecordType, z.ZodType>;

/** The schema of a kind of record. */
export const recordSchema = <T extends RecordType>(type: T): z.ZodType<RecordTypes[T]> =>
  shapes[type] as unknown as z.ZodType<RecordTypes[T]>;

const typed = z.discriminatedUnion(
  'type',
  RECORD_TYPES.map((type) => z.strictObject({ type: z.literal(type), record: shapes[type] })) as never,
);
const change = z.discriminatedUnion(
  'type',
  RECORD_TYPES.map((type) =>
    z.strictObject({ type: z.literal(type), from: shapes[type], to: shapes[type] }),
  ) as never,
);

/** A diff as it comes in at the door. */
export const diffSchema = z.strictObject({
  added: z.array(typed).max(LIMITS.movements),
  changed: z.array(change).max(LIMITS.movements),
  removed: z.array(typed).max(LIMITS.movements),
}) as unknown as z.ZodType<Diff>;

/** An action as it comes in at the door. */
export const actionSchema = z.strictObject({
  id,
  scope: id,
  label: whole().max(LIMITS.label),
  diff: diffSchema,
});
