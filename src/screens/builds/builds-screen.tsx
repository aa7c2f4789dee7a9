'use client';

import { Link } from '@/ui/link';
import { useState, useSyncExternalStore } from 'react';
import type { Colour } from '@/core/colour';
import type { Builds, BuildSummary, ListedBuild } from '@/server/build-list';
import { AppHeader } from '@/ui/app-header';
import { Button, buttonClass } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { count, signed, priced } from '@/ui/numbers';
import { PaletteProvider } from '@/ui/palette-context';
import { DeleteBuildDialog } from '../common/delete-build-dialog';
import { useBackground } from '../common/use-background';
import { useFollow } from '../common/use-follow';
import { DeletedToast } from './deleted-toast';
import { useBuilds } from './use-builds';
import { WorkspaceFiles } from './workspace-files';
import { useInAddress, useOneInAddress } from '../common/use-in-address';

interface BuildsProps {
  readonly first: Builds;
  readonly palette: readonly Colour[];
  readonly revision: number;
}

/** All builds with their figures and drawn state, a page at a time. */
export function BuildsScreen({ first, palette, revision }: BuildsProps) {
  useFollow(revision);
  const [find, setFind] = useInAddress('find');
  const [shelf, setShelf] = useOneInAddress('shelf', ['builds', 'archive']);
  const archived = shelf === 'archive';
  const { builds, isStale, more } = useBuilds(first, find, archived);
  const [deleting, setDeleting] = useState<ListedBuild | null>(null);
  useBackground();
  return (
    <PaletteProvider palette={palette}>
      <div className="flex min-h-dvh flex-col">
        <AppHeader screen="Builds" />
        <main className="mx-auto w-full max-w-6xl flex-1 px-4 py-6">
          <div className="mb-5 flex flex-wrap items-end gap-x-6 gap-y-3">
            <div className="min-w-64 flex-1">
              <h1 className="text-[24px] leading-tight">{sentence(builds)}</h1>
              <p className="text-soft mt-1">
                {builds.here + builds.archived === 0
                  ? 'This workspace is your own, and empty.'
                  : 'Open one to go on with it. Every figure comes out of its books.'}
                <span role="status">
                  {builds.waiting > 0 &&
                    ` ${count(builds.waiting)} ${builds.waiting === 1 ? 'is' : 'are'} still being counted.`}
                </span>
              </p>
            </div>
            <Link href="/import" className={buttonClass('main', 'min-h-9 px-4')}>
              Import a set
            </Link>
          </div>
          {builds.here + builds.archived > 3 && (
            <div className="mb-4 flex items-center gap-3">
              <input
                value={find}
                onChange={(e) => setFind(e.target.value)}
                placeholder="Find a build"
                aria-label="Find a build"
                className="border-edge bg-sheet min-h-8 w-64 rounded-md border px-2"
              />
              <span role="status" className="text-soft">
                {find.trim() && !isStale && foundOf(builds)}
              </span>
            </div>
          )}
          {builds.archived > 0 && (
            <button
              type="button"
              aria-pressed={archived}
              onClick={() => setShelf(archived ? 'builds' : 'archive')}
              className={buttonClass('plain', 'mb-4')}
            >
              {archived ? 'Back to the list of builds' : `Archive: ${builds.archived}`}
            </button>
          )}
          {builds.found === 0 && builds.waiting === 0 && !isStale && (
            <Empty none={builds.here + builds.archived === 0} wanted={find} />
          )}
          <ul className="grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
            {builds.builds.map((b) => (
              <BuildCard key={b.id} build={b} onDelete={setDeleting} />
            ))}
          </ul>
          {builds.builds.length < builds.found && (
            <Button className="mt-4" disabled={isStale} onClick={more}>
              Show more: {count(builds.found - builds.builds.length)} are not shown
            </Button>
          )}
          <WorkspaceFiles />
          <DeletedToast />
          {deleting && <DeleteBuildDialog build={deleting} onClose={() => setDeleting(null)} />}
        </main>
      </div>
    </PaletteProvider>
  );
}

const foundOf = ({ found, waiting }: Builds): string =>
  `${count(found)} found${waiting > 0 ? ' so far' : ''}`;

function sentence({ here, archived, planned, placeholders, waiting }: Builds): string {
  if (here + archived === 0) return 'There is no build yet.';
  const still = [
    planned ? `${count(planned)} planned ${planned === 1 ? 'entry' : 'entries'} to place` : '',
    placeholders
      ? `${count(placeholders)} ${placeholders === 1 ? 'placeholder' : 'placeholders'} to replace`
      : '',
  ].filter(Boolean);
  // What is still being counted may have more of them.
  const least = waiting > 0 ? 'at least ' : '';
  return `${count(here)} ${here === 1 ? 'build' : 'builds'}${still.length ? `: ${least}${still.join(' and ')}` : ''}.`;
}

function Empty({ none, wanted }: { none: boolean; wanted: string }) {
  if (!none) return <p className="text-soft">No build is called “{wanted}”.</p>;
  return (
    <div className="border-edge rounded-lg border border-dashed p-8 text-center">
      <p className="text-soft mb-3">
        A build begins with what is in a box. Type its first lines, paste a block from a spreadsheet, choose a
        file, or try it with a sample: an example of each is there.
      </p>
      <Link href="/import" className={buttonClass('main')}>
        Import the first set
      </Link>
    </div>
  );
}

function BuildCard({ build: b, onDelete }: { build: ListedBuild; onDelete: (build: ListedBuild) => void }) {
  return (
    <li className="border-rule bg-sheet hover:border-ink flex flex-col overflow-hidden rounded-lg border">
      <Link href={`/builds/${b.id}`} className="block flex-1">
        <DrawnState build={b} />
        <div className="px-4 py-3">
          <h2 className="truncate text-[16px]">
            <bdi>{b.name}</bdi>
          </h2>
          <p className="text-faint truncate">
            <bdi>{b.figures ? b.figures.sets || 'no box yet' : 'being counted'}</bdi>
          </p>
          <Facts figures={b.figures} />
        </div>
      </Link>
      <span className="flex justify-end px-2 pb-1">
        <Button
          look="bare"
          className="text-soft"
          aria-label={`Delete ${b.name}…`}
          onClick={() => onDelete(b)}
        >
          Delete…
        </Button>
      </span>
    </li>
  );
}

/** What a build comes to; its place is there before its figures are. */
function Facts({ figures: f }: { figures: BuildSummary | null }) {
  return (
    <dl className="mt-2 grid grid-cols-3 gap-2">
      <Fact words="on the model" value={f && count(f.onModel)} aside={f && `net ${signed(f.net)}`} />
      <Fact
        words="out of pocket"
        value={f && priced(f.outOfPocket, f.boughtUnpriced)}
        aside={f && `worth ${priced(f.worth, f.unpriced)}`}
      />
      <Fact
        words="spares"
        value={f && count(f.sparesLeft)}
        aside={f && `${f.modifications} ${f.modifications === 1 ? 'modification' : 'modifications'}`}
      />
    </dl>
  );
}

function Fact({ words, value, aside }: { words: string; value: string | null; aside: string | null }) {
  return (
    <div>
      <dd className="font-head text-[17px] leading-tight font-bold">{value ?? '…'}</dd>
      <dt className="text-soft text-[12px]">{words}</dt>
      <dd className="text-faint text-[12px]">{aside ?? '…'}</dd>
    </div>
  );
}

const never = () => () => undefined;

/**
 * What there is most of, drawn, each as large as its share. Drawn by the page and not sent with it: a drawing is twenty
 * times as long as its part's name.
 */
function DrawnState({ build }: { build: ListedBuild }) {
  const here = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  return (
    <div
      className="bg-background flex h-32 flex-wrap content-center items-center justify-center gap-x-1 overflow-hidden px-3"
      aria-hidden
    >
      {(here ? (build.figures?.most ?? []) : []).map(([element, qty], i) => (
        <span key={element} title={`${qty}`}>
          <Glyph element={element} size={i < 4 ? 60 : 46} />
        </span>
      ))}
    </div>
  );
}
