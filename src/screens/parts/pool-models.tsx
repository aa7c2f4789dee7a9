'use client';

import { useState } from 'react';
import type { PoolModel } from '@/core/ledger';
import { elementName, splitElementKey } from '@/core/parts';
import { readTypedLot } from '@/core/stock';
import {
  addPoolModel,
  changePoolModel,
  deletePoolModel,
  placeAfter,
  poolModelsOf,
  withSections,
  type PoolBox,
  type PoolWant,
} from '@/core/pool';
import type { CoverAnswer } from '@/server/cover-models';
import { Button } from '@/ui/button';
import { Check, Field, Input, Select } from '@/ui/field';
import { count, money, pieces } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { PoolShares } from './pool-shares';
import { typedLotWords } from '../words/typed-lot';

/** Several models out of the same boxes: how many copies of which box, at least cost, and which colour each model gets. */
export function PoolModels({ owned, wants }: { owned: readonly PoolBox[]; wants: readonly PoolWant[] }) {
  const workbench = useBuild((s) => s.workbench);
  useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [cover, setCover] = useState<CoverAnswer | 'asking' | 'failed' | null>(null);
  const models = poolModelsOf(workbench);
  const add = (name: string, musts: PoolModel['musts']) => {
    perform(addPoolModel(workbench.build, name, musts, source(), { place: placeAfter(models) }));
    setCover(null);
  };
  const ask = async () => {
    setCover('asking');
    try {
      const response = await fetch('/api/cover', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          models: withSections(models),
          owned: owned.map(({ code, name, copies, lots }) => ({ code, name, copies, lots })),
        }),
      });
      const body = (await response.json()) as { ok: boolean; value: CoverAnswer };
      setCover(body.ok ? body.value : 'failed');
    } catch {
      setCover('failed');
    }
  };
  return (
    <section aria-label="Several models together" className="border-rule border-t pt-3">
      <h2 className="mb-1">Several models from the same boxes</h2>
      <p className="text-soft mb-2">
        Say what each must have. A part without a colour takes the model’s main colour, and no two models get
        the same unless you let them.
      </p>
      <ul>
        {models.map((m) => (
          <ModelCard
            key={m.id}
            model={m}
            others={models.filter((o) => o.id !== m.id && o.sectionOf === null)}
            onChanged={() => setCover(null)}
          />
        ))}
      </ul>
      <span className="mt-2 flex flex-wrap gap-2">
        <Button onClick={() => add(`Model ${models.length + 1}`, [])}>Add a model</Button>
        <Button
          disabled={wants.length === 0}
          onClick={() =>
            add(
              'This plan',
              wants.slice(0, 500).map((w) => {
                const { part, colour } = splitElementKey(w.element);
                return { part, colour, qty: w.qty };
              }),
            )
          }
        >
          Add this build’s plan
        </Button>
        <Button
          look="main"
          disabled={models.every((m) => m.musts.length === 0) || cover === 'asking'}
          onClick={() => void ask()}
        >
          {cover === 'asking' ? 'Working it out…' : 'Fewest boxes for all'}
        </Button>
      </span>
      <div role="status" className="mt-3">
        {cover === 'failed' &&
          'There is no answer: either the boxes have fewer colours than there are models that want one of their own, or the time was too short.'}
        {cover !== null && typeof cover === 'object' && <CoverWords cover={cover} />}
      </div>
      <PoolShares boxes={owned} models={models} />
    </section>
  );
}

function CoverWords({ cover }: { cover: CoverAnswer }) {
  const short = cover.short.reduce((s, l) => s + l.qty, 0);
  const buys = cover.copies.map((c) => `${count(c.copies)} × ${c.name}`);
  return (
    <>
      <p className="font-semibold">
        {cover.short.length > 0 && '▲ '}
        {buys.length === 0
          ? short === 0
            ? 'The boxes that are there do.'
            : `The boxes that are there lack ${pieces(short)}, and no other box is worth it.`
          : `Buy ${buys.join(' and ')}: ${money(cover.cost)} in all${short > 0 ? `, and ${pieces(short)} singly` : ''}.`}{' '}
        {cover.proven ? 'No cheaper choice covers as much.' : 'The best found in the time.'}
      </p>
      <p className="text-soft">
        {cover.models.map((m) => `${m.name}${m.colour ? ` in ${m.colour}` : ''}`).join('; ')}.{' '}
        {pieces(cover.left)} left over.
      </p>
      {cover.short.length > 0 && (
        <ul>
          {cover.short.map((s) => (
            <li key={s.element}>
              {count(s.qty)} {elementName(s.element)}:{' '}
              {cover.notWorth.includes(s.element)
                ? 'a box that gives them would cost more than ten times what they cost singly'
                : 'no box for sale gives them'}
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

const printed = (m: PoolModel['musts'][number]): string =>
  `${m.qty} ${m.part}${m.colour ? ` ${m.colour}` : ''}`;

interface ModelCardProps {
  readonly model: PoolModel;
  /** Models that it may be a section of. */
  readonly others: readonly PoolModel[];
  readonly onChanged: () => void;
}

function ModelCard({ model, others, onChanged }: ModelCardProps) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const [text, setText] = useState(() => model.musts.map(printed).join('\n'));
  const [colours, setColours] = useState(() => model.colours.join(', '));
  const [says, setSays] = useState('');
  const change = (to: Partial<PoolModel>) => {
    perform(changePoolModel(model, to));
    onChanged();
  };
  const keepMusts = () => {
    const musts: PoolModel['musts'][number][] = [];
    for (const [i, line] of text.split('\n').entries()) {
      if (!line.trim()) continue;
      const read = readTypedLot(line, workbench.palette, false);
      if (!read.ok) return setSays(`Line ${i + 1}: ${typedLotWords(read.reason)}`);
      musts.push({ part: read.value.part, colour: read.value.colour, qty: read.value.qty });
    }
    setSays('');
    if (JSON.stringify(musts) !== JSON.stringify(model.musts)) change({ musts });
  };
  const keepColours = () => {
    const names = colours
      .split(/[,;\n]+/)
      .map((n) => n.trim().toLowerCase().replace(/\s+/g, '-'))
      .filter(Boolean);
    const unknown = names.find((n) => !workbench.palette.some((c) => c.id === n));
    if (unknown) return setSays(`“${unknown}” is no colour of the palette.`);
    setSays('');
    change({ colours: names as unknown as PoolModel['colours'] });
  };
  return (
    <li className="border-edge mb-2 rounded-md border p-3">
      <div className="grid gap-3 sm:grid-cols-[1fr_220px]">
        <Field label={`${model.name}: must have, a line a part`}>
          <textarea
            value={text}
            rows={4}
            placeholder={'12 brick 1x2\n4 wheel 2x2 soot'}
            onChange={(e) => setText(e.target.value)}
            onBlur={keepMusts}
            className="border-edge bg-sheet rounded-md border px-2 py-1 font-mono"
          />
        </Field>
        <div className="flex flex-col gap-2">
          <Field label="Name">
            <Input
              defaultValue={model.name}
              maxLength={200}
              onBlur={(e) => {
                const name = e.target.value.trim();
                if (name && name !== model.name) change({ name });
              }}
            />
          </Field>
          {others.length > 0 && (
            <Field label="It is">
              <Select
                value={model.sectionOf ?? ''}
                onChange={(e) => change({ sectionOf: (e.target.value || null) as PoolModel['sectionOf'] })}
              >
                <option value="">a model by itself</option>
                {others.map((o) => (
                  <option key={o.id} value={o.id}>
                    a section of {o.name}
                  </option>
                ))}
              </Select>
            </Field>
          )}
          <Field label="Main colours it may have">
            <Input
              value={colours}
              placeholder="any"
              onChange={(e) => setColours(e.target.value)}
              onBlur={keepColours}
            />
          </Field>
          <Check
            words="may share its main colour"
            on={model.shares}
            onChange={(shares) => change({ shares })}
          />
          <Button
            onClick={() => {
              perform(deletePoolModel(model));
              onChanged();
            }}
          >
            Delete it
          </Button>
        </div>
      </div>
      <p role="status">{says}</p>
    </li>
  );
}
