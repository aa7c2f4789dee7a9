/** What changes a row of a list, and what takes it out, as the list is put anew. */
export const rowsOf = <T>(list: readonly T[], put: (list: T[]) => void) => ({
  change: (at: number, next: T) => put(list.map((x, i) => (i === at ? next : x))),
  remove: (at: number) => put(list.filter((_, i) => i !== at)),
});
