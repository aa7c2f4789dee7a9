'use client';

import { ELSEWHERE, placeOf } from '@/core/ledger';
import { elsewhereOf, setElsewhere, type LineReading } from '@/core/workbench';
import { pieces } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { ELSEWHERE_SAYS, ELSEWHERE_WORDS } from '../words/sources';

/** Asked once for a build, when a line first puts in pieces that are in no books: what such pieces are. */
export function AskElsewhere({ reading, onDone }: { reading: LineReading | null; onDone: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const unknown = (reading?.clauses ?? []).reduce((sum, c) => {
    const said = c.understood.status === 'intent' && c.understood.intent.source !== null;
    const moves = said ? [] : (c.entry?.movements ?? []);
    return sum + moves.reduce((s, m) => s + (placeOf(m.from) === 'own' ? m.qty : 0), 0);
  }, 0);
  if (unknown === 0 || elsewhereOf(workbench) !== null) return null;
  return (
    <span
      role="group"
      aria-label="What is in no books"
      className="flex flex-wrap items-center gap-1.5 text-[12px]"
    >
      <span>{pieces(unknown)} in no tray, box or spares:</span>
      {ELSEWHERE.map((e) => (
        <button
          key={e}
          type="button"
          title={ELSEWHERE_SAYS[e]}
          onClick={() => {
            perform(setElsewhere(workbench, e));
            onDone();
          }}
          className="border-edge hover:border-ink min-h-7 rounded-md border px-2"
        >
          {ELSEWHERE_WORDS[e]}
        </button>
      ))}
    </span>
  );
}
