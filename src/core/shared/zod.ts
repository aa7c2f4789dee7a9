import { config } from 'zod';

// In a page functions may not be made out of text: the policy forbids it, and would report that it was tried.
if ('document' in globalThis) config({ jitless: true });

/**
 * What records and formats are described with. Each is named by itself: handed on whole, the library would bring its
 * sentences in forty languages into every page.
 */
export {
  array,
  boolean,
  discriminatedUnion,
  enum,
  int,
  literal,
  null,
  number,
  object,
  preprocess,
  record,
  strictObject,
  string,
  tuple,
  union,
} from 'zod';
export type { infer, ZodType } from 'zod';
