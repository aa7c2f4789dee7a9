'use client';

import clsx from 'clsx';
import { Fragment } from 'react';
import { sizeOf, type Entry, type Modification } from '@/core/ledger';
import type { EntryId } from '@/core/shared/ids';
import { useInSight } from '@/ui/in-sight';
import { count, modNo } from '@/ui/numbers';
import { booksInView, entriesOf, useBuild } from '../common/build-store';
import { CardMenu } from './card-menu';
import { CardNumbers } from './card-numbers';
import { CardSummary } from './card-summary';
import type { BenchDialogs } from './dialogs';
import { cardHandle, useDragged } from './drag-list';
import { OpenCard } from './open-card';

/** Where a card stands in a list of which only what shows is in the page. */
export interface ListPlace {
  readonly index: number;
  readonly of: number;
  readonly measure: (node: HTMLElement | null) => void;
}

interface CardProps {
  readonly modification: Modification;
  /** Its place in the list, where not all of the list is in the page. */
  readonly place?: ListPlace;
  readonly open: boolean;
  /** False in a long list: a drawing for each of hundreds of lots is more than a page can carry. */
  readonly drawn: boolean;
  readonly dialogs: BenchDialogs;
  /** Where something is looked for: the entries that have it, and no others are listed. */
  readonly found?: ReadonlySet<EntryId> | undefined;
}

/** A modification: one row when closed, its entries when open. */
export function ModificationCard({ modification, open, drawn, dialogs, place, found }: CardProps) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const view = useBuild((s) => s.view);
  const set = useBuild((s) => s.set);
  const entries = entriesOf(workbench, modification.id);
  const [setNodeRef, style, grip] = useDragged(cardHandle(modification));
  const scope = { of: 'modification', modification: modification.id } as const;
  const figures = booksInView({ workbench, view, version }).figures(scope);
  const zone = workbench.records.zone.get(modification.zone);
  // Where not all of the list is in the page, the list knows better: a card comes into it as one scrolls.
  const head = useInSight<HTMLDivElement>(open && !place);
  const phase = modification.phase ? workbench.records.phase.get(modification.phase) : undefined;
  const where = [
    ...(zone?.parent ? [zone.name] : []),
    ...(phase ? [phase.name] : []),
    ...placedWords(entries),
  ];
  return (
    <li
      ref={(node) => {
        place?.measure(node);
        setNodeRef(node);
      }}
      style={style}
      data-index={place?.index}
      aria-posinset={place && place.index + 1}
      aria-setsize={place?.of}
      aria-current={open ? 'true' : undefined}
      className={clsx(
        'border-rule',
        open ? 'border-ink bg-sheet my-1.5 rounded-lg border px-3' : 'border-b px-3',
      )}
    >
      <div ref={head} className="flex min-h-14 scroll-my-20 items-center gap-3 py-2">
        <span className="self-stretch max-xl:hidden">{grip}</span>
        <button
          type="button"
          id={`modification-${modification.id}`}
          onClick={() => set({ selected: modification.id, shownEntry: null, marked: new Set() })}
          aria-expanded={open}
          className="flex min-w-0 flex-1 items-baseline gap-3 text-left"
        >
          <span className="text-faint w-10 shrink-0 font-mono text-[12px] max-sm:w-9">
            {modNo(modification.no)}
          </span>
          <span className="min-w-0 flex-1">
            <span className="block truncate">
              <bdi className="text-[14px] font-semibold">{modification.title}</bdi>
              <span className={clsx('text-faint', open && 'block truncate')}>
                {where.map((words, i) => (
                  <Fragment key={i}>
                    {(i > 0 || !open) && ' · '}
                    <bdi>{words}</bdi>
                  </Fragment>
                ))}
              </span>
            </span>
            {!open && <CardSummary entries={entries} drawn={drawn} />}
          </span>
        </button>
        <CardNumbers figures={figures} dialogs={dialogs} scope={scope} entries={entries} />
        {open && <CardMenu modification={modification} entries={entries} dialogs={dialogs} />}
      </div>
      {open && <OpenCard modification={modification} entries={entries} dialogs={dialogs} found={found} />}
    </li>
  );
}

/** How much of what is planned is there already; nothing where nothing is planned. */
function placedWords(entries: readonly Entry[]): string[] {
  const size = (state: Entry['state']) =>
    entries.filter((e) => e.state === state && e.kind !== 'order').reduce((s, e) => s + sizeOf(e), 0);
  const [done, planned] = [size('done'), size('planned')];
  if (planned === 0) return [];
  return [done === 0 ? `planned ${count(planned)}` : `${count(done)} of ${count(done + planned)} placed`];
}
