'use client';

import { useMemo } from 'react';
import { comparePatch, type Compared, type Patch } from '@/core/patch';
import { elementName } from '@/core/parts';
import { Glyph } from '@/ui/glyph';
import { count, signed } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { pathWords } from '../words/patch';

const STATE_WORDS: Readonly<Record<Compared['state'], string>> = {
  alike: 'as the patch says',
  'not yet': 'the patch has it, this build has not',
  besides: 'this build has it besides',
};
const MOST = 60;

/** What this build has done differently from a patch, zone by zone. */
export function PatchCompared({ patch, planned }: { patch: Patch; planned: boolean }) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const all = useMemo(() => {
    void version;
    return comparePatch(workbench, patch, planned);
  }, [workbench, version, patch, planned]);
  const other = all.filter((c) => c.state !== 'alike');
  return (
    <details className="mb-4">
      <summary className="min-h-7 font-semibold">
        What was done differently here: {count(all.length - other.length)} of {count(all.length)} alike
      </summary>
      <ul>
        {other.slice(0, MOST).map((c) => (
          <li
            key={`${pathWords(c.path)} ${c.element}`}
            className="flex min-w-0 flex-wrap items-center gap-2 py-0.5"
          >
            <Glyph element={c.element} mark={c.patch + c.build < 0 ? 'out' : 'in'} size={26} />
            <span className="min-w-40 flex-1">
              <bdi>{elementName(c.element)}</bdi>
              <span className="text-soft block text-[12px]">
                {pathWords(c.path)}: {STATE_WORDS[c.state]}
                {c.instead && `, but ${elementName(c.instead)} instead`}
              </span>
            </span>
            <span className="text-right">
              {signed(c.patch)} in the patch, {signed(c.build)} here
            </span>
          </li>
        ))}
      </ul>
      {other.length > MOST && <p className="text-soft">and {count(other.length - MOST)} more</p>}
    </details>
  );
}
