'use client';

import { Link } from '@/ui/link';
import { useEffect, useMemo, useState } from 'react';
import { elementName } from '@/core/parts';
import {
  LEFT_BY,
  leftGroups,
  leftOverOf,
  needsMet,
  type LeftBy,
  type LeftGroup,
  type LeftLot,
  type NeedOfBuild,
} from '@/core/show';
import type { RareLot } from '@/core/stock';
import { Field, Select } from '@/ui/field';
import { LotGlyph } from '@/ui/glyph';
import { count, pieces, piecesOfKinds, priced } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { ask } from '../sending/answers';
import { useOneInAddress } from '../common/use-in-address';

const BY_WORDS: Readonly<Record<LeftBy, string>> = { box: 'box', colour: 'colour', family: 'family' };

/** What is left over of the build: the rare ones first, in groups, and which other builds' needs it meets. */
export function LeftOverTab({ planned }: { planned: boolean }) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const { rare, needs, says } = useAround();
  const [by, setBy] = useOneInAddress('by', LEFT_BY);
  const books = planned ? workbench.planned : workbench.built;
  const lots = useMemo(() => {
    void version;
    return leftOverOf(workbench, books, rare);
  }, [workbench, books, rare, version]);
  const groups = shownOf(leftGroups(lots, by));
  const sum = (of: (l: LeftLot) => number) => lots.reduce((n, l) => n + of(l), 0);
  const meets = needsMet(lots, needs, workbench.build);
  return (
    <div className="mx-auto max-w-5xl">
      <h1 className="mb-2 text-[21px] leading-tight">
        {lots.length === 0
          ? 'Nothing is left over.'
          : `${piecesOfKinds(
              sum((l) => l.qty),
              lots.length,
            )} left over, worth ${priced(
              sum((l) => l.worth),
              sum((l) => l.unpriced),
            )}.`}
      </h1>
      <p role="status" className="text-soft">
        {says}
      </p>
      {meets.length > 0 && (
        <section className="mb-5" aria-label="What else could be made">
          <h2 className="mb-1 text-[16px]">Other builds lack some of it</h2>
          <ul>
            {meets.map((m) => (
              <li key={m.build} className="border-rule flex flex-wrap items-center gap-2 border-b py-1">
                <Link href={`/builds/${m.build}/parts`} className="min-w-48 flex-1 underline">
                  <bdi>{m.name}</bdi>
                </Link>
                <span>
                  {count(m.meets)} of the {pieces(m.lacks)} it lacks
                </span>
                <span className="flex gap-1">
                  {m.lots.slice(0, 6).map((l) => (
                    <LotGlyph key={l.element} element={l.element} qty={l.qty} size={28} />
                  ))}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {lots.length > 0 && (
        <Field label="In groups by" className="mb-3 w-40">
          <Select value={by} onChange={(e) => setBy(e.target.value as LeftBy)}>
            {LEFT_BY.map((b) => (
              <option key={b} value={b}>
                {BY_WORDS[b]}
              </option>
            ))}
          </Select>
        </Field>
      )}
      {groups.map((g) => (
        <section key={g.name} aria-label={g.name || 'of several boxes'} className="mb-4 break-inside-avoid">
          <h2 className="border-rule border-b py-1">
            <bdi>{g.name || 'in several boxes, or in none'}</bdi>{' '}
            <span className="text-soft">
              {piecesOfKinds(g.pieces, g.lots.length)}, worth {priced(g.worth, g.unpriced)}
            </span>
          </h2>
          <ul className="grid gap-x-4 sm:grid-cols-2 lg:grid-cols-3">
            {g.lots.slice(0, g.shown).map((l) => (
              <li key={l.element} className="flex min-w-0 items-center gap-2">
                <LotGlyph element={l.element} qty={l.qty} size={30} />
                <span className="min-w-0">
                  <bdi className="block truncate">
                    {count(l.qty)} {elementName(l.element)}
                  </bdi>
                  <span className="text-soft block text-[12px]">{rarityWords(l.rarity)}</span>
                </span>
              </li>
            ))}
          </ul>
          {g.lots.length > MOST && (
            <p className="text-soft">and {count(g.lots.length - g.shown)} kinds more</p>
          )}
        </section>
      ))}
    </div>
  );
}

/** Kinds that are drawn at once: a page costs what it shows. */
const MOST = 160;

/** How many kinds of each group are drawn: the largest groups all, then a few of each, then none. */
function shownOf(groups: readonly LeftGroup[]): (LeftGroup & { readonly shown: number })[] {
  let left = MOST;
  return groups.map((g) => {
    const shown = Math.min(g.lots.length, Math.max(4, Math.min(40, left)), Math.max(0, left));
    left -= shown;
    return { ...g, shown };
  });
}

function rarityWords(rarity: LeftLot['rarity']): string {
  if (!rarity) return '';
  const boxes = rarity.boxes > 0 ? `in ${count(rarity.boxes)} ${rarity.boxes === 1 ? 'box' : 'boxes'}` : '';
  const colours =
    rarity.colours === null
      ? ''
      : `made in ${count(rarity.colours)} ${rarity.colours === 1 ? 'colour' : 'colours'}`;
  return [boxes, colours].filter(Boolean).join(', ');
}

/** How rare the spares are, and what other builds lack: asked of the server once. */
function useAround() {
  const build = useBuild((s) => s.workbench.build);
  const [rare, setRare] = useState<readonly RareLot[]>([]);
  const [needs, setNeeds] = useState<readonly NeedOfBuild[]>([]);
  const [says, setSays] = useState('Looking at what is rare, and at what other builds lack…');
  useEffect(() => {
    let there = true;
    void Promise.all([
      ask<{ lots: readonly RareLot[] }>(`/api/stock/rare?build=${build}`),
      ask<readonly NeedOfBuild[]>('/api/needs'),
    ]).then(([found, lacks]) => {
      if (!there) return;
      if (found) setRare(found.lots);
      if (lacks) setNeeds(lacks);
      setSays(
        found && lacks
          ? ''
          : '▲ The server does not answer: what is rare, and what other builds lack, is not known.',
      );
    });
    return () => void (there = false);
  }, [build]);
  return { rare, needs, says };
}
