'use client';

import clsx from 'clsx';
import { useMemo, useState } from 'react';
import { FINDING_KINDS, type Finding } from '@/core/ledger';
import { elementName } from '@/core/parts';
import {
  closeFinding,
  FINDING_ORDERS,
  findingState,
  MUST_STAY,
  sortFindings,
  workOnFinding,
  type FindingState,
} from '@/core/inspection';
import { Button, Key } from '@/ui/button';
import { LotGlyph } from '@/ui/glyph';
import { modNo } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { useCommands } from '../commands';
import { FINDING_WORDS, MATTERS } from '../words/inspection';
import { draftProblemWords } from '../words/log-line';
import { FindingDialog } from '../common/finding-dialog';
import { FindAndOrder } from '../common/find-and-order';
import { useInAddress, useOneInAddress } from '../common/use-in-address';

/** What was found wrong, with photos; each becomes a modification by one key. */
export function Findings({ findings }: { findings: readonly Finding[] }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const set = useBuild((s) => s.set);
  const [dialog, setDialog] = useState<'new' | Finding | null>(null);
  const [chosen, setChosen] = useInAddress('finding', '', 'push');
  const [text, setText] = useInAddress('look');
  const [order, setOrder] = useOneInAddress('order', FINDING_ORDERS);
  const rows = useMemo(() => {
    const stated = findings.map((f) => ({ finding: f, state: findingState(f, workbench.entries) }));
    const zoneName = (f: Finding) => workbench.records.zone.get(f.zone)?.name ?? '';
    return sortFindings(stated, text, order, zoneName).map(({ finding: f, state }) => ({ f, state }));
  }, [findings, workbench, text, order]);
  const at = Math.max(
    0,
    rows.findIndex(({ f }) => f.id === chosen),
  );
  const row = rows[at];
  const step = (by: number) => {
    const next = rows[Math.max(0, Math.min(rows.length - 1, at + by))];
    if (next) setChosen(next.f.id);
  };
  const workOn = (f: Finding) => {
    const work = workOnFinding(workbench, f, source());
    perform(work);
    const [problem] = work.problems;
    if (problem)
      set({ notice: { text: draftProblemWords(problem.problem, workbench.records), kind: 'refused' } });
  };
  const keys = useMemo(
    () => [
      { name: 'Something found', key: 'n', run: () => setDialog('new') },
      { name: 'Next finding', key: 'j', run: () => step(1) },
      { name: 'Previous finding', key: 'k', run: () => step(-1) },
      { name: 'Make it a modification', key: 'w', run: () => row?.state === 'open' && workOn(row.f) },
      { name: 'Change the finding', key: 'e', run: () => row && setDialog(row.f) },
    ],
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [rows, row],
  );
  useCommands(keys, dialog === null);
  return (
    <section aria-label="Findings" className="h-full overflow-auto p-4">
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <p className="text-soft flex-1 pointer-coarse:hidden">
          <Key>N</Key> something found · <Key>J</Key> <Key>K</Key> next, previous · <Key>W</Key> make it a
          modification · <Key>E</Key> change it
        </p>
        <Button look="main" onClick={() => setDialog('new')}>
          Something found…
        </Button>
      </div>
      {findings.length > 1 && (
        <div className="mb-2 flex items-center gap-2">
          <FindAndOrder
            what="the findings"
            text={text}
            onText={setText}
            found={{ n: rows.length, one: 'finding', many: 'findings' }}
            orders={FINDING_ORDERS}
            order={order}
            onOrder={setOrder}
          />
        </div>
      )}
      {findings.length > 0 && rows.length === 0 && (
        <p className="text-soft">No finding has “{text.trim()}” in it.</p>
      )}
      {findings.length === 0 && (
        <p className="text-soft max-w-2xl">
          Nothing found yet. Walk around the model zone by zone: what is missing, broken, wobbly, open, odd in
          colour or faded? Note it with a photo; it becomes a modification with its entries prepared.
        </p>
      )}
      <ul>
        {rows.map(({ f, state }) => (
          <li
            key={f.id}
            aria-current={row?.f.id === f.id ? 'true' : undefined}
            className={clsx(
              'border-rule flex flex-wrap items-center gap-3 border-b px-2 py-2',
              row?.f.id === f.id && 'bg-sheet',
              (state === 'closed' || state === 'dropped') && 'text-faint',
            )}
            onClick={() => setChosen(f.id)}
          >
            <PhotoOf finding={f} />
            <span className="min-w-0 flex-1 basis-64">
              <bdi className="block font-semibold">{f.note.split('\n')[0] || FINDING_WORDS[f.kind]}</bdi>
              <span className="text-faint text-[12px]">
                {FINDING_WORDS[f.kind]} · <bdi>{workbench.records.zone.get(f.zone)?.name}</bdi> ·{' '}
                {MATTERS[f.matters]}
                {f.to && ` · to be ${elementName(f.to)}`}
              </span>
            </span>
            <span className="flex flex-wrap gap-2">
              {f.lots.slice(0, 5).map((l) => (
                <LotGlyph key={l.element} element={l.element} qty={l.qty} />
              ))}
            </span>
            <StateCell
              state={state}
              no={f.modification ? workbench.records.modification.get(f.modification)?.no : undefined}
            />
            <span className="flex gap-1">
              {state === 'open' && (
                <Button look="main" onClick={() => workOn(f)}>
                  Work on it
                </Button>
              )}
              <Button onClick={() => setDialog(f)}>Change</Button>
              {(state === 'open' || state === 'dropped') && (
                <Button look="bare" onClick={() => perform(closeFinding(f, state === 'open'))}>
                  {state === 'open' ? 'Delete' : 'Take up again'}
                </Button>
              )}
            </span>
          </li>
        ))}
      </ul>
      {dialog && (
        <FindingDialog
          finding={dialog === 'new' ? undefined : dialog}
          kinds={FINDING_KINDS.filter((k) => !MUST_STAY.includes(k))}
          onClose={() => setDialog(null)}
        />
      )}
    </section>
  );
}

function PhotoOf({ finding }: { finding: Finding }) {
  if (!finding.photo) return <span className="border-rule size-14 rounded-sm border border-dashed" />;
  return (
    // Kept photos are served by this machine, at the size they are kept in.
    // eslint-disable-next-line @next/next/no-img-element
    <img
      src={`/api/photos/${finding.photo}`}
      alt={`Photo: ${finding.note.slice(0, 80)}`}
      className="size-14 rounded-sm object-cover"
    />
  );
}

const STATE_WORDS: Readonly<Record<FindingState, string>> = {
  open: 'open',
  planned: 'in work',
  closed: 'done',
  dropped: 'deleted',
  kept: 'must stay',
};

const StateCell = ({ state, no }: { state: FindingState; no: number | undefined }) => (
  <span className="w-24 text-[12px]">
    {state === 'closed' ? '✓ ' : ''}
    {STATE_WORDS[state]}
    {no !== undefined && ` in ${modNo(no)}`}
  </span>
);
