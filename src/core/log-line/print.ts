import type { Assembly, Intent, LoggedKind, Pieces, Zone } from '../ledger';
import { inColour, partOf, splitElementKey, type ElementKey } from '../parts';
import type { CopyId, ZoneId } from '../shared/ids';
import { moneyAsDecimal } from '../shared/money';
import { placeText } from './places';
import { opensTrailing } from './trailing';
import { colourWords } from '../colour';

/** What printing needs to name things by. */
export interface PrintContext {
  readonly zones: readonly Zone[];
  readonly assemblies: readonly Assembly[];
  /** Boxes that are broken up for the build: a source that is one of them is written by its name. */
  readonly boxes?: readonly { readonly id: CopyId; readonly name: string }[];
}

const VERBS: Readonly<Record<LoggedKind, string>> = {
  remove: '-',
  add: '+',
  recolour: '~',
  swap: '-',
  renew: '%',
  move: '>',
  placeholder: '?',
  replacement: '^',
  missing: '!',
  'replace-missing': '*',
};

/**
 * Writes an intent as the clause that means it: understanding what is printed gives the intent back, as long as the
 * lexicon knows its elements.
 *
 * printIntent({ kind: "remove", off: 2 plate 2x3 chalk, ... }) = "-2 plate 2x3 chalk"
 */
export function printIntent(intent: Intent, context: PrintContext): string {
  return [printBody(intent, context), ...printTrailing(intent, context)].join(' ');
}

/** Several intents as one line. Semicolons keep the words of each clause to itself. */
export const printLine = (intents: readonly Intent[], context: PrintContext): string =>
  intents.map((i) => printIntent(i, context)).join('; ');

function printBody(intent: Intent, context: PrintContext): string {
  const verb = VERBS[intent.kind];
  const assembly = context.assemblies.find((a) => a.id === intent.assembly);
  const [off, on] = [intent.off[0], intent.on[0]];
  const main = assembly ? printAssembly(assembly, off ?? on) : pieces(off ?? on);
  switch (intent.kind) {
    case 'recolour':
    case 'replacement':
      return `${verb}${main} > ${off && on ? printTarget(off.element, on.element) : ''}`;
    case 'placeholder':
      return `${verb}${main} for ${on && intent.standsFor ? printTarget(on.element, intent.standsFor) : ''}`;
    case 'swap':
      return `${verb}${intent.off.map(pieces).join(' & ')} / +${intent.on.map(pieces).join(' & ')}`;
    case 'move':
      return `${verb}${main} : ${intent.zone ? `${zoneText(intent.zone, context)} ` : ''}to ${zoneText(intent.toZone, context)}`;
    default:
      return `${verb}${main}`;
  }
}

/** "[lamp]", or "3 [lamp]" for as many: how often follows from how many of its first part there are. */
function printAssembly(assembly: Assembly, first: Pieces | undefined): string {
  const one = assembly.lots.find((l) => l.element === first?.element)?.qty ?? 1;
  const times = Math.max(1, Math.round((first?.qty ?? one) / one));
  return `${times > 1 ? `${times} ` : ''}[${escape(assembly.name, ']')}]`;
}

function* printTrailing(intent: Intent, context: PrintContext): Generator<string> {
  if (intent.zone && intent.kind !== 'move') yield `@${zoneText(intent.zone, context)}`;
  if (intent.why) yield `#${intent.why}`;
  const box = context.boxes?.find((b) => b.id === intent.boxes[0]);
  if (box) yield `from "${escape(box.name, '"')}"`;
  else if (intent.ownFrom) yield `from "${escape(intent.ownFrom, '"')}"`;
  else if (intent.source === 'own') yield 'own';
  else if (intent.source) yield `from ${placeText(intent.source)}`;
  if (intent.destination) yield `to ${placeText(intent.destination)}`;
  if (intent.condition) yield intent.condition;
  if (intent.price !== null) yield `at ${moneyAsDecimal(intent.price)}`;
  if (intent.planned) yield 'plan';
  if (intent.hidden) yield 'hidden';
  if (intent.note) yield `"${escape(intent.note, '"')}"`;
}

const pieces = (p: Pieces | undefined): string => (p ? `${p.qty} ${printElement(p.element)}` : '');

/** A zone's name, bare when it is one plain word that no other zone begins with, else in quotes. */
function zoneText(id: ZoneId | null, context: PrintContext): string {
  const zone = context.zones.find((z) => z.id === id);
  if (!zone) return '';
  const alike = context.zones.filter((z) => colourWords(z.name)[0]?.startsWith(zone.name.toLowerCase()));
  const plain = /^[a-z0-9]{2,}$/i.test(zone.name) && zone.name.toLowerCase() !== 'to';
  return plain && alike.length === 1 ? zone.name.toLowerCase() : `"${escape(zone.name, '"')}"`;
}

const escape = (text: string, close: string): string =>
  text.replaceAll('\\', '\\\\').replaceAll(close, `\\${close}`);

function printTarget(from: ElementKey, to: ElementKey): string {
  const { colour } = splitElementKey(to);
  return inColour(from, colour) === to ? colour : printElement(to);
}

/**
 * An element as the log line takes it: "plate 2x3 chalk", "'odd, part' chalk", "tile 2x2 bark (compass)". `asItStands` = the
 * part's name in quotes, so that a word of it that nothing knows is not asked for again.
 */
export function printElement(element: ElementKey, asItStands = false): string {
  const { part, colour, print } = splitElementKey(element);
  const name = isPlainName(part) && !asItStands ? part : `'${escape(part, "'")}'`;
  return `${name} ${colour}${print ? ` (${escape(print, ')')})` : ''}`;
}

/** True when every word of a part's name can stand bare in the line. */
function isPlainName(part: string): boolean {
  const read = partOf(part as never);
  const words = part.split(' ');
  return (
    read.read &&
    words.every((text) => {
      const bare = /^[a-z0-9][a-z0-9./-]*$/.test(text) && text !== 'for';
      return bare && !opensTrailing({ kind: 'word', text, start: 0, end: 0, closed: true });
    })
  );
}
