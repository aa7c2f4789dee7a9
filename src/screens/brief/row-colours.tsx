'use client';

import { useEffect, useState } from 'react';
import type { RowHouse } from '@/server/row-colours';
import { usePalette } from '@/ui/palette-context';
import { count } from '@/ui/numbers';
import { useBuild } from '../common/build-store';

/** Main colours of the other builds of the same row: how many of each of a hundred pieces. */
export function RowColours({ row: name }: { row: string }) {
  const build = useBuild((s) => s.workbench.build);
  const palette = usePalette();
  const [row, setRow] = useState<readonly RowHouse[] | null>(null);
  useEffect(() => {
    const mine = new AbortController();
    fetch(`/api/builds/${build}/row?name=${encodeURIComponent(name)}`, { signal: mine.signal })
      .then((r) => r.json())
      .then((said: { ok: boolean; value: readonly RowHouse[] }) => said.ok && setRow(said.value))
      .catch(() => {});
    return () => mine.abort();
  }, [build, name]);
  if (!row) return null;
  return (
    <div>
      <h3 className="text-[14px] font-semibold">Others of this row</h3>
      {row.length === 0 && <p className="text-soft">No other build stands in it yet.</p>}
      <ul>
        {row.map((house) => (
          <li key={house.build} className="flex flex-wrap items-center gap-2">
            <bdi className="w-56 truncate">{house.name}</bdi>
            {house.colours.map((c) => (
              <span key={c.colour} className="flex items-center gap-1">
                <span
                  aria-hidden
                  style={{ background: palette.get(c.colour)?.hex }}
                  className="border-edge size-4 rounded-xs border"
                />
                {c.colour} {count(Math.round(c.share * 100))} %
              </span>
            ))}
          </li>
        ))}
      </ul>
    </div>
  );
}
