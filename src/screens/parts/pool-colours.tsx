'use client';

import { useDeferredValue, useMemo } from 'react';
import { searchWords, splitElementKey } from '@/core/parts';
import { coloursOfPart, poolHolds, type PoolBox } from '@/core/pool';
import { Input } from '@/ui/field';
import { LotGlyph } from '@/ui/glyph';
import { count } from '@/ui/numbers';
import { useInAddress } from '../common/use-in-address';

const MOST_ROWS = 40;

/** In which colours each part is available at all: a part a row, drawn in every colour, with how many and out of which box. */
export function PoolColours({ boxes }: { boxes: readonly PoolBox[] }) {
  const [wanted, setWanted] = useInAddress('find');
  const typed = useDeferredValue(wanted);
  const held = boxes.map((b) => `${b.code}*${b.copies}`).join();
  const rows = useMemo(() => {
    void held;
    const parts = [...new Set([...poolHolds(boxes).keys()].map((e) => splitElementKey(e).part))];
    return parts
      .map((part) => ({ part, colours: coloursOfPart(boxes, part) }))
      .sort(
        (a, b) =>
          b.colours.length - a.colours.length || a.part.localeCompare(b.part, 'en', { numeric: true }),
      );
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the boxes are new at every turn, and alike while `held` is
  }, [held]);
  const words = searchWords(typed);
  const shown = rows.filter((r) => words.every((w) => r.part.includes(w)));
  return (
    <aside
      aria-label="Colours of each part"
      tabIndex={0}
      className="border-rule flex min-h-0 flex-col overflow-auto border-l p-4"
    >
      <h2 className="mb-1">In which colours they come</h2>
      <Input
        value={wanted}
        onChange={(e) => setWanted(e.target.value)}
        aria-label="Find a part in the boxes"
        placeholder="Find a part"
        className="mb-2"
      />
      <table className="w-full">
        <thead className="sr-only">
          <tr>
            <th scope="col">Part</th>
            <th scope="col">Colours, and pieces in each</th>
          </tr>
        </thead>
        <tbody>
          {shown.slice(0, MOST_ROWS).map(({ part, colours }) => (
            <tr key={part} className="border-rule border-b align-top">
              <th scope="row" className="w-32 py-1.5 text-left font-normal">
                {part}
              </th>
              <td className="py-1">
                <span className="flex flex-wrap gap-1.5">
                  {colours.map((c) => (
                    <span
                      key={c.element}
                      title={`${splitElementKey(c.element).colour}: ${c.from.map((f) => `${count(f.qty)} in ${f.name}`).join(', ')}`}
                    >
                      <LotGlyph element={c.element} qty={c.qty} size={30} />
                    </span>
                  ))}
                </span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {shown.length > MOST_ROWS && (
        <p className="text-faint">and {count(shown.length - MOST_ROWS)} more parts: search for them.</p>
      )}
    </aside>
  );
}
