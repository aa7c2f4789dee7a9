import {
  added,
  draftEntry,
  EMPTY_DIFF,
  intentOf,
  type Command,
  type DraftProblem,
  type Entry,
  type Intent,
  type Source,
} from '../ledger';
import { elementKey, splitElementKey, type ElementKey } from '../parts';
import { asId, type EntryId, type PartId, type ZoneId } from '../shared/ids';
import type { Workbench } from './workbench';

/** How entries are done again. */
export interface Again {
  readonly times: number;
  /** Where; null = each in its own zone. */
  readonly zone: ZoneId | null;
  /** True = on the other side: what is made for the left is taken for the right, and the other way round. */
  readonly mirrored: boolean;
}

const OTHER_SIDE: Readonly<Record<string, string>> = { left: 'right', right: 'left' };

/**
 * The element for the other side: "wedge 3x2 left ash" for "wedge 3x2 right ash"; one that has no side is its own mirror.
 */
export function mirrorOf(element: ElementKey): ElementKey {
  const { part, colour, print } = splitElementKey(element);
  const words = part.split(' ').map((w) => OTHER_SIDE[w] ?? w);
  return elementKey(asId<PartId>(words.join(' ')), colour, print);
}

/** Whether any of some entries has a side. */
export const hasSide = (entries: readonly Entry[]): boolean =>
  entries.some((e) => e.movements.some((m) => mirrorOf(m.element) !== m.element));

/** The same wish once more: parts come from wherever the build takes them now, at a price only where one was said. */
function againIntent(intent: Intent, { zone, mirrored }: Again): Intent {
  const side = (list: Intent['on']) =>
    mirrored ? list.map((p) => ({ ...p, element: mirrorOf(p.element) })) : list;
  const keeps = intent.source === 'own' || intent.source === 'outside';
  return {
    ...intent,
    off: side(intent.off),
    on: side(intent.on),
    standsFor: intent.standsFor && mirrored ? mirrorOf(intent.standsFor) : intent.standsFor,
    zone: zone ?? intent.zone,
    source: keeps ? intent.source : null,
    boxes: [],
  };
}

export type Repeated =
  | { readonly ok: true; readonly command: Command; readonly entries: readonly Entry[] }
  | { readonly ok: false; readonly problem: DraftProblem; readonly time: number };

/**
 * Does chosen entries again, so many times, each in its own modification and in their order. All of it or nothing: where one
 * cannot be done, it is said which time it was.
 */
export function repeatEntries(
  workbench: Workbench,
  entries: readonly Entry[],
  again: Again,
  source: Source,
): Repeated {
  const context = workbench.draftContext();
  const made: Entry[] = [];
  const places = new Map<string, number>();
  let { no } = workbench.nextEntry(null);
  const post = (e: Entry, way: 'post' | 'unpost') => {
    if (e.state === 'done') workbench.built[way](e);
    workbench.planned[way](e);
  };
  try {
    for (let time = 1; time <= again.times; time++)
      for (const entry of entries) {
        const intent = intentOf(entry);
        const modification = entry.modification
          ? workbench.records.modification.get(entry.modification)
          : undefined;
        if (!intent || !modification) continue;
        const position = places.get(modification.id) ?? workbench.nextEntry(modification.id).position;
        places.set(modification.id, position + 1);
        const stamp = {
          id: asId<EntryId>(source.newId()),
          no: no++,
          position,
          loggedAt: source.now,
          modification,
        };
        const drafted = draftEntry(againIntent(intent, again), stamp, context);
        if (!drafted.ok) return { ok: false, problem: drafted.reason, time };
        made.push(drafted.value);
        post(drafted.value, 'post');
      }
  } finally {
    for (const e of made) post(e, 'unpost');
  }
  const n = made.length;
  const label = `do ${n} ${n === 1 ? 'entry' : 'entries'} again${again.mirrored ? ' on the other side' : ''}`;
  return { ok: true, entries: made, command: { label, diff: n > 0 ? added('entry', ...made) : EMPTY_DIFF } };
}
