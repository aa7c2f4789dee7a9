import { openPlaceholders, type Assembly, type Intent } from '../ledger';
import { type ElementKey } from '../parts';
import { asId, type AssemblyId } from '../shared/ids';
import { BUILD, el, ELEMENTS, entry, palette, ZONES } from './world';
import { Lexicon, understandLine, type CallContext } from '../log-line';

export const EXTRA = [
  el('plate 1x2', 'ash'),
  el('plate 1x4', 'ash'),
  el('plate 1x2 with hook', 'ash'),
  el('boat door 1x6', 'deep'),
  el('tile 2x2', 'bark', 'compass dial'),
  el('odd, part! "x" to', 'chalk'),
];
/** An assembly that lines can name. */
export const TABLE: Assembly = {
  id: asId<AssemblyId>('a1'),
  build: BUILD,
  name: 'Lamp table',
  lots: [
    { element: el('brick 1x2', 'ash'), qty: 4 },
    { element: el('tile 2x2', 'bark'), qty: 1 },
  ],
};
export const known = [...ELEMENTS, ...EXTRA];
export const onModel = new Set<ElementKey>([
  el('plate 2x3', 'chalk'),
  el('brick 1x2', 'ash'),
  el('brick 1x2', 'slate'),
  el('arch 1x4', 'ash'),
]);
export const placeholders = openPlaceholders([
  entry(
    's',
    'placeholder',
    [
      {
        element: el('brick 1x2', 'amber'),
        grade: 'new' as never,
        qty: 8,
        from: 'outside' as never,
        to: 'model:z0' as never,
        worth: 1,
      },
    ],
    {
      standsFor: el('brick 1x2', 'lagoon'),
    },
  ),
]);
/** What lines are understood with. */
export const context: CallContext = {
  lexicon: new Lexicon(known, palette),
  zones: ZONES,
  assemblies: [TABLE],
  onModel: (e) => onModel.has(e),
  atHand: (e) => onModel.has(e),
  placeholders,
};
/** What a line is understood as. */
export const say = (line: string) => understandLine(line, context);
/** What the clauses of a line mean; throws where one means nothing. */
export const intents = (line: string): Intent[] =>
  say(line).clauses.map((c) => {
    if (c.status !== 'intent')
      throw new Error(`${line}: ${JSON.stringify(c)} ${JSON.stringify(say(line).problems)}`);
    return c.intent;
  });
export const one = (line: string): Intent => intents(line)[0]!;
