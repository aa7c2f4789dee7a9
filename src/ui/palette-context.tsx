'use client';

import { createContext, useContext, useMemo, type ReactNode } from 'react';
import { PALETTE, type Colour } from '@/core/colour';

const Context = createContext<ReadonlyMap<string, Colour>>(new Map(PALETTE.map((c) => [c.id, c])));

/** The colours that glyphs are drawn in: Evarn's palette and the workspace's own. */
export function PaletteProvider({ palette, children }: { palette: readonly Colour[]; children: ReactNode }) {
  const byId = useMemo(() => new Map(palette.map((c) => [c.id, c])), [palette]);
  return <Context.Provider value={byId}>{children}</Context.Provider>;
}

export const usePalette = () => useContext(Context);
