import { shownColour } from './shown-colour';
import type { ColourId, PartId } from '../shared/ids';
import { asId } from '../shared/ids';
import { assert } from '../shared/assert';
import { type Family } from './families';

/** A shape. Its id is its canonical name, so the same part read twice is the same part. */
export interface Part {
  readonly id: PartId;
  readonly family: Family;
  /** Footprint in studs, as named: 2x1 is deep by wide for directed families, smaller by larger for the others. */
  readonly size: readonly [number, number];
  /** In plates; a brick is 3. May be a fraction for slopes of two thirds and the like. */
  readonly height: number;
  /** Degrees, for slopes. */
  readonly angle?: number;
  /** What the name says beyond family and size; "" for plain parts. */
  readonly variant: string;
  /** False when the text could not be read: the name is then kept as it was written. */
  readonly read: boolean;
}

/** An element: a part in a colour, with its print or sticker if it has one. The key reads `part|colour|print`. */
export type ElementKey = string & { readonly __kind: 'element' };

/** Makes an element's key. A print of "" is none. The upright bar parts the fields and brackets part the print, so both are kept out of names. */
export function elementKey(part: PartId, colour: ColourId, print = ''): ElementKey {
  const field = (t: string) => t.replaceAll('|', '/');
  const label = field(print).replaceAll('(', '[').replaceAll(')', ']').replace(/\s+/g, ' ').trim();
  const key = `${field(part)}|${field(colour)}${label ? `|${label}` : ''}`;
  return key as ElementKey;
}

/** What an element's key is made of. */
export interface ElementParts {
  readonly part: PartId;
  readonly colour: ColourId;
  readonly print: string;
}

/** Keys that were taken apart: a line being typed asks of thousands of them at every key. */
const apart = new Map<ElementKey, ElementParts>();
const MOST_APART = 60_000;

/** Takes a key apart. Asserts that it has a part and a colour. */
export function splitElementKey(key: ElementKey): ElementParts {
  const known = apart.get(key);
  if (known) return known;
  const [part, colour, print = ''] = key.split('|');
  assert(part && colour, 'an element names a part and a colour', key);
  const parts = { part: asId<PartId>(part), colour: asId<ColourId>(colour), print };
  if (apart.size >= MOST_APART) apart.clear();
  apart.set(key, parts);
  return parts;
}

/** The same element in another colour. */
export function inColour(key: ElementKey, colour: ColourId): ElementKey {
  const { part, print } = splitElementKey(key);
  return elementKey(part, colour, print);
}

/** "tile 2x2 bark (compass)": how an element is written everywhere. */
export function elementName(key: ElementKey): string {
  const { part, colour, print } = splitElementKey(key);
  return `${part} ${shownColour(colour)}${print ? ` (${print})` : ''}`;
}
