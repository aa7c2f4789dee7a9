import { pick, type Random } from '../../shared/random';
import type { Group } from './groups';
import { costOf, shareExactly } from './share-exactly';
import { compareCuts, scoreOf, type FieldCut, type SharedOut } from './shared-out';

/** A part of a group is solved exactly when its sets have no more pairs than this. */
const PART_PAIRS = 60_000;

/** How many of each kind a field gives. */
const countsOf = (group: Group, cut: FieldCut): number[] =>
  group.kinds.map((_, k) => cut.laid.filter((l) => l.kind === k).length);

/**
 * Takes one to three fields of a sharing out, with their strips and some of those that are unmet, and solves that part
 * exactly; what is no better is left as it was. Null = nothing came of it.
 */
export function improve(
  group: Group,
  shared: SharedOut,
  random: Random,
  isOver: () => boolean,
): SharedOut | null {
  const fields = someFields(group, shared, random);
  const part = partOf(group, shared, fields, random);
  if (!part) return null;
  const answer = shareExactly(part.group, isOver);
  if (!answer) return null;
  const cuts = shared.slice();
  fields.forEach((f, i) => {
    const { laid, kept } = answer.shared[i]!;
    cuts[f] = { laid: laid.map((l) => ({ ...l, kind: part.kinds[l.kind]! })), kept };
  });
  return compareCuts(scoreOf(group, cuts), scoreOf(group, shared)) <= 0 ? cuts : null;
}

/** One opened field, if there is one, and others opened or not, in the order of the group. */
function someFields(group: Group, shared: SharedOut, random: Random): number[] {
  const all = group.fields.map((_, f) => f);
  const opened = all.filter((f) => shared[f]!.laid.length > 0);
  const chosen = new Set<number>(opened.length > 0 ? [pick(random, opened)] : []);
  const goal = Math.min(all.length, 1 + Math.floor(random() * 3));
  while (chosen.size < goal)
    chosen.add(random() < 0.7 && opened.length >= goal ? pick(random, opened) : pick(random, all));
  return [...chosen].sort((a, b) => a - b);
}

/** The chosen fields as a group of their own, with as many of the unmet strips as can be looked at; null = too many. */
function partOf(group: Group, shared: SharedOut, fields: readonly number[], random: Random) {
  const counts = group.kinds.map((_, k) => fields.reduce((n, f) => n + countsOf(group, shared[f]!)[k]!, 0));
  const made = () => {
    const kinds = counts.flatMap((n, k) => (n > 0 ? [k] : []));
    const part: Group = {
      kerf: group.kerf,
      fields: fields.map((f) => group.fields[f]!),
      kinds: kinds.map((k) => ({
        ...group.kinds[k]!,
        count: counts[k]!,
        deltas: fields.map((f) => group.kinds[k]!.deltas[f]!),
      })),
    };
    return { group: part, kinds };
  };
  if (costOf(made().group) > PART_PAIRS) return null;
  const unmet = group.kinds.flatMap((kind, k) => {
    const met = shared.reduce((n, cut) => n + cut.laid.filter((l) => l.kind === k).length, 0);
    // What comes from one field, and has been begun in one that is not looked at, can't be added to here.
    if (kind.oneField && met > counts[k]!) return [];
    return Array.from({ length: kind.count - met }, () => k);
  });
  for (; unmet.length > 0;) {
    const [k] = unmet.splice(Math.floor(random() * unmet.length), 1);
    counts[k!]!++;
    if (costOf(made().group) > PART_PAIRS) {
      counts[k!]!--;
      break;
    }
  }
  return made();
}
