'use client';

import { Link } from '@/ui/link';
import { allIn, openPlaceholders, sparesAccount, takeTally, type Books } from '@/core/ledger';
import { BUILD_LIST_NAMES, BUILD_LIST_TITLES } from '@/core/lists/titles';
import { elementName, splitElementKey, type ElementKey } from '@/core/parts';
import { phasesOf, type Workbench } from '@/core/workbench';
import { buttonClass } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { count, modNo, priced } from '@/ui/numbers';
import { usePrinting } from '@/ui/use-printing';
import { CameFromTable } from '../common/came-from-table';
import { PartStates } from '../common/part-states';
import { ListLinks } from '../lists/list-links';
import { ByPart, type Part } from './by-part';
import { balanceWords } from '../words/balance';
import { comesToWords } from '../words/build';
import { Costs } from './costs';
import { MustStay } from './must-stay';
import { RulesKept } from './rules-kept';
import { StatesByPart } from './states-by-part';

interface SumsProps {
  readonly workbench: Workbench;
  readonly planned: boolean;
}

/** The sums of a build, on the screen and on paper: pieces, cost both ways, spares, for it and each part of it. */
export function Sums({ workbench, planned }: SumsProps) {
  const books = planned ? workbench.planned : workbench.built;
  const build = workbench.records.build.get(workbench.build);
  const tally = takeTally(books, { of: 'build' }, workbench.priceOf);
  const f = tally.figures;
  return (
    <div className="mx-auto w-full max-w-5xl print:max-w-none">
      <div className="mb-4">
        <p className="hidden print:block">
          <bdi>{build?.name}</bdi>, {planned ? 'as planned' : 'as built'}
        </p>
        <h1 className="text-[24px] leading-tight">
          {`${comesToWords(f)}${tally.inBoxes.pieces > 0 ? `, ${count(tally.inBoxes.pieces)} more in its boxes` : ''}.`}
        </h1>
        <p className="text-soft mt-1">
          {`${balanceWords(f)}. `}
          {count(f.recoloured)} recoloured, {count(f.renewed)} renewed.
        </p>
      </div>
      <Costs
        figures={f}
        spares={priced(tally.sparesWorth, tally.sparesUnpriced)}
        boxes={tally.inBoxes}
        whole={allIn(books, f)}
      />
      <div className="mb-6 max-w-md break-inside-avoid">
        <PartStates workbench={workbench} scope={{ of: 'build' }} planned={planned} title="What goes on" />
      </div>
      <ByPart
        title="By modification"
        workbench={workbench}
        books={books}
        parts={modificationParts(workbench)}
        total={f}
      />
      <ByPart
        title="By zone"
        workbench={workbench}
        books={books}
        parts={zoneParts(workbench)}
        note="A zone counts the zones nested in it. Money is shown by modification."
      />
      <StatesByPart
        workbench={workbench}
        planned={planned}
        groups={[
          { title: 'modifications', parts: modificationParts(workbench) },
          { title: 'zones', parts: zoneParts(workbench) },
        ]}
      />
      {workbench.records.phase.size > 0 && (
        <ByPart
          title="By phase"
          workbench={workbench}
          books={books}
          parts={phaseParts(workbench)}
          total={f}
        />
      )}
      <section className="mb-6 break-inside-avoid">
        <h2 className="mb-1 text-[16px]">What came from which box</h2>
        <CameFromTable workbench={workbench} books={books} />
      </section>
      <Placeholders books={books} />
      <RulesKept workbench={workbench} />
      <MustStay workbench={workbench} />
      <Spares workbench={workbench} books={books} />
      <Files build={workbench.build} />
    </div>
  );
}

const modificationParts = (workbench: Workbench): Part[] => [
  ...workbench.modifications.map((m): Part => ({
    name: `${modNo(m.no)} ${m.title}`,
    scope: { of: 'modification', modification: m.id },
  })),
  { name: 'in no modification', scope: { of: 'modification', modification: null } },
];

const zoneParts = (workbench: Workbench): Part[] =>
  workbench.zones.map((z): Part => ({ name: z.name, scope: { of: 'zone', zone: z.id } }));

const phaseParts = (workbench: Workbench): Part[] => [
  ...phasesOf(workbench).map((p): Part => ({ name: p.name, scope: { of: 'phase', phase: p.id } })),
  { name: 'in no phase', scope: { of: 'phase', phase: null } },
];

function Placeholders({ books }: { books: Books }) {
  const open = openPlaceholders(books.entries);
  if (open.length === 0) return null;
  return (
    <section className="mb-6 break-inside-avoid">
      <h2 className="mb-1 text-[16px]">Placeholders still there</h2>
      <ul className="flex flex-wrap gap-x-5">
        {open.map((s) => (
          <li key={s.element + s.standsFor} className="flex items-center gap-2">
            <Glyph element={s.element} mark="placeholder" size={32} />
            {s.qty} {elementName(s.element)} for {splitElementKey(s.standsFor).colour}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Spares({ workbench, books }: { workbench: Workbench; books: Books }) {
  const lots = books.balances.elements(sparesAccount(workbench.build)).filter(([, n]) => n > 0);
  // On paper there is nowhere to go on to.
  const most = usePrinting() ? lots.length : MOST_SPARES;
  return (
    <section className="drawn-near mb-6">
      <h2 className="mb-1 text-[16px]">Spares</h2>
      {lots.length === 0 && <p className="text-soft">None are left.</p>}
      <ul className="grid grid-cols-2 gap-x-4 md:grid-cols-4">
        {lots
          .sort((a, b) => b[1] - a[1])
          .slice(0, most)
          .map(([element, n]: [ElementKey, number]) => (
            <li key={element} className="flex items-center gap-2 break-inside-avoid">
              <Glyph element={element} size={32} />
              <b>{n}</b> <bdi className="truncate">{elementName(element)}</bdi>
            </li>
          ))}
      </ul>
      {lots.length > most && (
        <p className="text-soft mt-1">
          and {count(lots.length - most)} more {lots.length - most === 1 ? 'kind' : 'kinds'}:{' '}
          <Link href={`/builds/${workbench.build}/print/spares`} className="underline">
            the list of all spares
          </Link>
        </p>
      )}
    </section>
  );
}

/** Kinds of spares that the sums show: a list of all of them is one step away. */
const MOST_SPARES = 100;

function Files({ build }: { build: string }) {
  return (
    <section className="no-print border-rule flex flex-wrap items-center gap-2 border-t pt-3">
      <h2 className="mr-2">Export</h2>
      {BUILD_LIST_NAMES.map((list) => (
        <span key={list} className="flex items-center gap-2">
          {BUILD_LIST_TITLES[list]} <ListLinks of={`/builds/${build}`} list={list} />
        </span>
      ))}
      <a href={`/api/builds/${build}/files/mod.json`} download className={buttonClass()}>
        Mod file
      </a>
    </section>
  );
}
