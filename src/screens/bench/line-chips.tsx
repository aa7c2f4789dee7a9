'use client';

import { Delete } from 'lucide-react';
import { useMemo } from 'react';
import { chipsFor, recentElements, withoutLast } from '@/core/log-line';
import { Button } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { usePalette } from '@/ui/palette-context';
import { useBuild } from '../common/build-store';
import { useCoarsePointer } from '../common/use-coarse-pointer';

/** Parts that are offered: what fits a few strokes of a thumb. */
const MOST = 16;

interface ChipsProps {
  readonly onLine: (line: string) => void;
  readonly onEnter: () => void;
}

/** The line's own keyboard, where there is a finger and no keys: off, on, how many, the parts of late, colours. */
export function LineChips(props: ChipsProps) {
  // Where there are keys, none of it is worked out at each of them. The room for it is there before the page comes alive.
  const isFinger = useCoarsePointer();
  return <div className="hidden min-h-14 pointer-coarse:block">{isFinger && <Chips {...props} />}</div>;
}

function Chips({ onLine, onEnter }: ChipsProps) {
  const line = useBuild((s) => s.line);
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const palette = usePalette();
  const recent = useMemo(() => {
    void version;
    const logged = recentElements([...workbench.planned.entries], MOST);
    return logged.length > 0
      ? logged
      : [...new Set(workbench.built.balances.rows().map((r) => r.element))].slice(0, MOST);
  }, [workbench, version]);
  const used = useMemo(() => [...new Set(recent.map((e) => e.split('|')[1]!))], [recent]);
  const colours = useMemo(() => {
    const all = [...palette.values()].filter((c) => c.finish === 'solid').map((c) => c.id);
    return [...all].sort((a, b) => Number(used.includes(b)) - Number(used.includes(a)));
  }, [palette, used]);
  const chips = chipsFor(line, { recent, colours });
  return (
    <div
      role="group"
      aria-label="Keys of the line"
      className="flex items-center gap-1.5 overflow-x-auto py-1.5"
    >
      {line !== '' && (
        <>
          <Button look="main" onClick={onEnter}>
            Log it
          </Button>
          <Button aria-label="Take back the last word" onClick={() => onLine(withoutLast(line))}>
            <Delete size={18} aria-hidden />
          </Button>
        </>
      )}
      {chips.map((c) => (
        <Button key={c.says} onClick={() => onLine(c.line)} className="min-w-11 shrink-0 whitespace-nowrap">
          {c.element && <Glyph element={c.element} size={26} />}
          {c.colour && (
            <span
              aria-hidden
              className="border-edge size-4 rounded-xs border"
              style={{ background: palette.get(c.colour)?.hex }}
            />
          )}
          {c.says}
        </Button>
      ))}
    </div>
  );
}
