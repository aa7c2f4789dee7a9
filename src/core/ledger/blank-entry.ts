import type { Entry } from '../records';

/** An entry with nothing said beyond what every entry must say: done, in no modification, first in its log. */
export const BLANK_ENTRY: Omit<Entry, 'id' | 'kind' | 'loggedAt' | 'movements'> = {
  build: null,
  modification: null,
  state: 'done',
  no: 0,
  position: 0,
  why: null,
  note: '',
  hidden: false,
  standsFor: null,
  zone: null,
  whatIf: null,
  assembly: null,
  order: null,
  splitFrom: null,
  loan: null,
  counted: null,
};
