'use client';

import { ArrowDown, ArrowUp } from 'lucide-react';
import type { PoolModel } from '@/core/ledger';
import { elementName } from '@/core/parts';
import {
  builtOf,
  changePoolModel,
  shareInOrder,
  shiftPoolModel,
  type Decides,
  type ModelShare,
  type PoolBox,
} from '@/core/pool';
import { Button } from '@/ui/button';
import { Check, Field, Select } from '@/ui/field';
import { LotGlyph } from '@/ui/glyph';
import { count, pieces } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { list } from '../words/places';

interface PoolSharesProps {
  readonly boxes: readonly PoolBox[];
  readonly models: readonly PoolModel[];
}

/** Models and their sections side by side, in the order in which they take what is scarce. */
export function PoolShares({ boxes, models }: PoolSharesProps) {
  const shares = shareInOrder(boxes, models);
  const { built, all } = builtOf(shares);
  const perform = useBuild((s) => s.perform);
  if (models.every((m) => m.musts.length === 0)) return null;
  return (
    <section aria-label="One after another" className="border-rule mt-4 border-t pt-3">
      <h2 className="mb-1">One after another from the same boxes</h2>
      <p className="text-soft mb-2 max-w-prose">
        The first takes what it needs, the next takes from what is left. {count(built)} of {pieces(all)}{' '}
        built.
      </p>
      <ol className="flex flex-col gap-2">
        {shares.map((s, i) => (
          <li
            key={s.model.id}
            className="border-edge flex flex-wrap items-start gap-x-4 gap-y-1 rounded-md border p-2"
          >
            <span className="flex gap-1">
              {([-1, 1] as const).map((by) => (
                <Button
                  key={by}
                  aria-label={`${s.model.name} takes ${by < 0 ? 'earlier' : 'later'}`}
                  disabled={!shares[i + by]}
                  onClick={() => perform(shiftPoolModel(models, s.model, by))}
                >
                  {by < 0 ? <ArrowUp size={14} aria-hidden /> : <ArrowDown size={14} aria-hidden />}
                </Button>
              ))}
            </span>
            <div className="min-w-56 flex-1">
              <h3>
                <bdi>{s.model.name}</bdi>
                {s.colour && <span className="text-soft"> in {s.colour}</span>}
              </h3>
              <p>{shareWords(s)}</p>
              <p className="text-soft text-[12px]">{restWords(s, i === shares.length - 1)}</p>
            </div>
            <MainColour share={s} />
            <Check
              words="built"
              on={s.model.isBuilt}
              onChange={(isBuilt) => perform(changePoolModel(s.model, { isBuilt }))}
            />
            <PieceList share={s} />
          </li>
        ))}
      </ol>
    </section>
  );
}

const decidesWords = ({ element, has, wants }: Decides): string =>
  `${count(wants)} ${elementName(element)} (${count(has)} there)`;

function shareWords(s: ModelShare): string {
  const lacks = s.short.reduce((n, l) => n + l.qty, 0);
  const undecided = s.undecided > 0 ? ` ${pieces(s.undecided)} wait for a main colour.` : '';
  if (s.wants.length === 0) return undecided.trim() || 'Nothing is needed yet.';
  const often =
    s.times !== null && s.times > 1 ? `could be built ${count(s.times)} times` : 'could be built once';
  const says =
    lacks === 0
      ? `Gets all ${pieces(s.got)}; ${often}.`
      : `▲ Gets ${count(s.got)}, and lacks ${pieces(lacks)}: ${list(s.short.slice(0, 3).map((l) => `${count(l.qty)} ${elementName(l.element)}`))}${s.short.length > 3 ? ' and more' : ''}.`;
  return `${says} What decides it: ${s.decides ? decidesWords(s.decides) : 'nothing'}.${undecided}`;
}

function restWords(s: ModelShare, isLast: boolean): string {
  const leaves = `${pieces(s.left)} ${s.left === 1 ? 'is' : 'are'} left`;
  if (isLast) return `${leaves} when all are built.`;
  if (s.tight.length === 0) return `${leaves} for the rest, and it takes nothing from them that they lack.`;
  const tight = s.tight
    .slice(0, 3)
    .map((t) => `${count(t.has)} ${elementName(t.element)} of ${count(t.wants)}`);
  return `▲ ${leaves} for the rest, but only ${list(tight)}${s.tight.length > 3 ? ' and more' : ''} that they need.`;
}

/** The main colour of a model, with how often each would do; sections have their model's. */
function MainColour({ share: { model, colour, colours } }: { share: ModelShare }) {
  const perform = useBuild((s) => s.perform);
  if (colours.length === 0) return null;
  return (
    <Field label={`Main colour of ${model.name}`}>
      <Select
        value={colour ?? ''}
        onChange={(e) => perform(changePoolModel(model, { colour: (e.target.value || null) as never }))}
      >
        <option value="">not chosen</option>
        {colour && colours.every((c) => c.colour !== colour) && (
          <option value={colour}>{colour}: none</option>
        )}
        {colours.map((c) => (
          <option key={c.colour} value={c.colour}>
            {c.colour}:{' '}
            {c.times > 0
              ? `${count(c.times)} ${c.times === 1 ? 'time' : 'times'}`
              : `lacks ${c.decides ? `${count(c.decides.wants - c.decides.has)} ${elementName(c.decides.element)}` : ''}`}
          </option>
        ))}
      </Select>
    </Field>
  );
}

/** The pieces that a model takes, drawn, to be laid out before it is begun. */
const PieceList = ({ share }: { share: ModelShare }) =>
  share.wants.length === 0 ? null : (
    <details className="w-full">
      <summary className="min-h-7">
        The pieces of <bdi>{share.model.name}</bdi>
      </summary>
      <ul className="flex flex-wrap gap-2">
        {share.wants.map((w) => (
          <li key={w.element}>
            <LotGlyph element={w.element} qty={w.qty} size={30} />
          </li>
        ))}
      </ul>
    </details>
  );
