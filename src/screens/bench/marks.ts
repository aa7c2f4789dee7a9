/** What marking one row of a list does: it alone, or with Shift all from the one that was marked last. */
export function markRow<Id extends string>(
  rows: readonly Id[],
  marked: ReadonlySet<Id>,
  row: Id,
  from: Id | null,
): ReadonlySet<Id> {
  const next = new Set(marked);
  const [a, b] = [from === null ? -1 : rows.indexOf(from), rows.indexOf(row)];
  if (a >= 0 && b >= 0 && a !== b) {
    for (const id of rows.slice(Math.min(a, b), Math.max(a, b) + 1)) next.add(id);
    return next;
  }
  if (!next.delete(row)) next.add(row);
  return next;
}

/** All rows of a list marked, or none where all are already. */
export function markAll<Id extends string>(rows: readonly Id[], marked: ReadonlySet<Id>): ReadonlySet<Id> {
  const all = rows.every((id) => marked.has(id));
  return new Set(all ? [...marked].filter((id) => !rows.includes(id)) : [...marked, ...rows]);
}
