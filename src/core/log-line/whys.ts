import { WHYS, type Why } from '../ledger';

/** Tags that lines of earlier programs had for today's reasons. */
const EARLIER: Readonly<Record<string, Why>> = { slip: 'mismatch' };

/** The reason that a tag names, by its whole or by how it begins: whyNamed('fad') = 'faded'. Undefined when none does. */
export const whyNamed = (typed: string): Why | undefined =>
  EARLIER[typed] ?? (typed === '' ? undefined : WHYS.find((w) => w.startsWith(typed)));
