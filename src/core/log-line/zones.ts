import type { Zone } from '../ledger';
import { colourWords as wordsOf } from '../colour';
import type { Token } from './lexer';

/** A zone found at the start of some tokens, and how many tokens its name took. */
export interface ZoneHit {
  readonly zone: Zone;
  readonly used: number;
}

/**
 * Finds the zone that the tokens begin with. Words match by prefix and in order ("lamp ro" = "Lamp room"); a quoted
 * token must be the whole name. The most words win; then an exact name; then the first zone in order.
 */
export function zoneAt(tokens: readonly Token[], zones: readonly Zone[]): ZoneHit | undefined {
  const first = tokens[0];
  if (!first) return undefined;
  if (first.kind === 'note' || first.kind === 'exact') {
    const zone = zones.find((z) => z.name === first.text);
    return zone && { zone, used: 1 };
  }
  const hits = zones.flatMap((zone) => {
    const name = wordsOf(zone.name);
    const used = prefixTokens(tokens, name);
    return used.tokens > 0
      ? [{ zone, used: used.tokens, exact: used.exact && used.words === name.length }]
      : [];
  });
  hits.sort(
    (a, b) => b.used - a.used || Number(b.exact) - Number(a.exact) || a.zone.position - b.zone.position,
  );
  return hits[0] && { zone: hits[0].zone, used: hits[0].used };
}

function prefixTokens(tokens: readonly Token[], name: readonly string[]) {
  let words = 0;
  let used = 0;
  let exact = true;
  for (const token of tokens) {
    if (token.kind !== 'word') break;
    const typed = wordsOf(token.text);
    const fits = typed.length > 0 && typed.every((t, i) => name[words + i]?.startsWith(t));
    if (!fits) break;
    exact &&= typed.every((t, i) => name[words + i] === t);
    words += typed.length;
    used++;
  }
  return { tokens: used, words, exact };
}
