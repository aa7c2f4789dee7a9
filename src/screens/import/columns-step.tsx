'use client';

import { ActSelect } from '@/ui/act-select';
import { useState } from 'react';
import {
  COLOUR_FAMILIES,
  FINISHES,
  matchColour,
  type Colour,
  type ColourFamily,
  type Finish,
} from '@/core/colour';
import { ROLES_FOR, type ColumnRole, type Purpose, type ReadRow } from '@/core/formats';
import type { ColourId } from '@/core/shared/ids';
import { Button, Key } from '@/ui/button';
import { Field, Input, Select } from '@/ui/field';
import { count } from '@/ui/numbers';
import { useCommands } from '../commands';
import type { TableTools } from './import-state';

const ROLE_WORDS: Readonly<Record<ColumnRole, string>> = {
  name: 'part',
  code: 'code, if no part is named',
  colour: 'colour',
  hex: 'colour as hex',
  qty: 'quantity',
  print: 'print or sticker',
  zone: 'zone',
  extra: 'box’s own extra',
  condition: 'condition',
  tray: 'tray',
  place: 'place of the tray',
  newPrice: 'price, new',
  usedPrice: 'price, used',
  from: 'made from',
  to: 'made to',
  ignore: 'leave out',
};

/** What each column means: guessed, shown with what stands in it, corrected by hand. */
export function ColumnsStep({ tools, purpose }: { tools: TableTools; purpose: Purpose }) {
  const { state } = tools;
  if (!state) return null;
  const { table, roles, remembered } = state;
  return (
    <section aria-label="Columns">
      <h2 className="mb-1">
        What the columns mean{' '}
        <span className="text-faint font-sans font-normal">
          {remembered ? 'as you set them last time' : 'as guessed; change what is wrong'}
        </span>
      </h2>
      <div
        className="flex gap-2 overflow-x-auto pb-2"
        tabIndex={0}
        role="group"
        aria-label="Columns of the table"
      >
        {roles.map((role, i) => (
          <div key={i} className="border-rule bg-sheet w-40 shrink-0 rounded-md border p-2">
            <Field label={table.heading?.[i] || `column ${i + 1}`}>
              <Select
                aria-label={`Column ${table.heading?.[i] || i + 1} means`}
                value={role}
                onChange={(e) => tools.setRole(i, e.target.value as ColumnRole)}
              >
                {ROLES_FOR[purpose].map((r) => (
                  <option key={r} value={r}>
                    {ROLE_WORDS[r]}
                  </option>
                ))}
              </Select>
            </Field>
            <ul className="text-faint mt-1 text-[12px]">
              {table.rows.slice(0, 3).map((cells, k) => (
                <li key={k} className="truncate">
                  <bdi>{cells[i] || '–'}</bdi>
                </li>
              ))}
            </ul>
          </div>
        ))}
      </div>
    </section>
  );
}

/** Colours that are not in the palette: matched to one that is, or made new. */
export function ColoursStep({ tools }: { tools: TableTools }) {
  const unknown = unknownColours(tools.rows);
  const proposed = unknown.filter((u) => u.suggestions.length > 0);
  const takeAll = () => proposed.forEach((u) => tools.match(u.text, u.suggestions[0]!));
  useCommands(
    proposed.length > 0 ? [{ name: 'Take all colours as proposed', key: 't', run: takeAll }] : [],
    true,
  );
  if (unknown.length === 0) return null;
  return (
    <section aria-label="Colours not in the palette">
      <h2 className="mb-1">
        {count(unknown.length)} {unknown.length === 1 ? 'colour is' : 'colours are'} not in the palette
      </h2>
      {proposed.length > 0 && (
        <p className="mb-2 flex flex-wrap items-center gap-3">
          <span>
            Proposed:{' '}
            {proposed.slice(0, 8).map((u, i) => (
              <span key={u.text}>
                {i > 0 && ', '}
                <bdi>{u.text}</bdi> is {tools.palette.find((c) => c.id === u.suggestions[0])?.name}
              </span>
            ))}
            {proposed.length > 8 && ` and ${count(proposed.length - 8)} more`}.
          </span>
          <Button look="main" onClick={takeAll}>
            {proposed.length === 1 ? 'Take it' : `Take all ${count(proposed.length)}`} <Key>T</Key>
          </Button>
        </p>
      )}
      <ul>
        {unknown.slice(0, 60).map((u) => (
          <UnknownColour key={u.text} text={u.text} rows={u.rows} suggestions={u.suggestions} tools={tools} />
        ))}
      </ul>
    </section>
  );
}

function unknownColours(rows: readonly ReadRow[]) {
  const found = new Map<string, { text: string; rows: number; suggestions: readonly ColourId[] }>();
  for (const row of rows)
    for (const f of row.faults) {
      if (f.fault !== 'unknown colour') continue;
      const key = f.text.toLowerCase();
      found.set(key, { text: f.text, suggestions: f.suggestions, rows: (found.get(key)?.rows ?? 0) + 1 });
    }
  return [...found.values()].sort((a, b) => b.rows - a.rows);
}

interface UnknownProps {
  readonly text: string;
  readonly rows: number;
  readonly suggestions: readonly ColourId[];
  readonly tools: TableTools;
}

function UnknownColour({ text, rows, suggestions, tools }: UnknownProps) {
  const [making, setMaking] = useState(false);
  const first = new Set<string>(suggestions);
  const list = [...tools.palette].sort((a, b) => Number(first.has(b.id)) - Number(first.has(a.id)));
  return (
    <li className="border-rule flex flex-wrap items-center gap-3 border-b py-1.5">
      <b className="w-40 truncate">
        <bdi>{text}</bdi>
      </b>
      <span className="text-faint w-16">
        {count(rows)} {rows === 1 ? 'row' : 'rows'}
      </span>
      <ActSelect
        label={`${text} is`}
        verb="It is this"
        none="is…"
        options={list.map((c) => ({ value: c.id, words: c.name }))}
        onAct={(id) => tools.match(text, id as ColourId)}
      />
      {suggestions.slice(0, 4).map((id) => (
        <ColourChip
          key={id}
          colour={tools.palette.find((c) => c.id === id)}
          onPick={() => tools.match(text, id)}
        />
      ))}
      <Button look="bare" aria-expanded={making} onClick={() => setMaking(!making)}>
        Make it a new colour…
      </Button>
      {making && <NewColour text={text} tools={tools} />}
    </li>
  );
}

function ColourChip({ colour, onPick }: { colour: Colour | undefined; onPick: () => void }) {
  if (!colour) return null;
  return (
    <button
      type="button"
      onClick={onPick}
      className="border-edge hover:border-ink flex min-h-7 items-center gap-1.5 rounded-md border px-2"
    >
      <span
        aria-hidden
        className="border-edge size-3.5 rounded-xs border"
        style={{ background: colour.hex }}
      />
      {colour.name}
    </button>
  );
}

function NewColour({ text, tools }: { text: string; tools: TableTools }) {
  const [hex, setHex] = useState(/^#?[0-9a-f]{6}$/i.test(text) ? `#${text.replace('#', '')}` : '#808080');
  const [name, setName] = useState(text.slice(0, 60));
  const [family, setFamily] = useState<ColourFamily>(() => familyOf(hex, tools.palette));
  const [finish, setFinish] = useState<Finish>('solid');
  const id = slug(name);
  const taken = tools.palette.some((c) => c.id === id);
  return (
    <div className="bg-wash flex w-full flex-wrap items-end gap-3 rounded-md p-2">
      <Field label="Name">
        <Input value={name} maxLength={60} onChange={(e) => setName(e.target.value)} />
      </Field>
      <Field label="Colour">
        <input
          type="color"
          value={hex}
          onChange={(e) => {
            setHex(e.target.value);
            setFamily(familyOf(e.target.value, tools.palette));
          }}
          className="h-7 w-14"
        />
      </Field>
      <Field label="Family">
        <Select value={family} onChange={(e) => setFamily(e.target.value as ColourFamily)}>
          {COLOUR_FAMILIES.map((f) => (
            <option key={f}>{f}</option>
          ))}
        </Select>
      </Field>
      <Field label="Finish">
        <Select value={finish} onChange={(e) => setFinish(e.target.value as Finish)}>
          {FINISHES.map((f) => (
            <option key={f}>{f}</option>
          ))}
        </Select>
      </Field>
      <Button
        disabled={!id || taken}
        onClick={() => tools.makeNew(text, { id, name: name.trim(), hex, family, finish })}
      >
        Make it
      </Button>
      {taken && <span>The palette has a colour of that name.</span>}
    </div>
  );
}

const slug = (name: string): string =>
  name
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 60);

function familyOf(hex: string, palette: readonly Colour[]): ColourFamily {
  const match = matchColour(hex, palette);
  if (match.how !== 'unknown') return match.colour.family;
  return match.suggestions[0]?.family ?? 'grey';
}
