import type { PatchLot } from './patch';

export const piecesIn = (lots: readonly PatchLot[]): number => lots.reduce((n, p) => n + p.qty, 0);

/** The first so many pieces of some lots, and those that are left. */
export function firstPieces(
  lots: readonly PatchLot[],
  most: number,
): { readonly taken: PatchLot[]; readonly left: PatchLot[] } {
  const [taken, left]: [PatchLot[], PatchLot[]] = [[], []];
  let open = most;
  for (const { element, qty } of lots) {
    const n = Math.min(open, qty);
    if (n > 0) taken.push({ element, qty: n });
    if (n < qty) left.push({ element, qty: qty - n });
    open -= n;
  }
  return { taken, left };
}
