'use client';

import { useState } from 'react';
import { readDelimited, typedTable, type RawTable } from '@/core/formats';
import { Button } from '@/ui/button';
import { FileDrop } from '@/ui/file-drop';
import { count } from '@/ui/numbers';
import { uploadFaultWords } from '../words/tables';
import type { ImportWorld } from './import-state';

interface SourceProps {
  readonly world: ImportWorld;
  readonly onTable: (table: RawTable, title: string) => void;
  readonly onSet: (code: string) => void;
}

/** Where it comes from: a set of the catalogue, a file, or a block pasted from a spreadsheet. */
export function SourceStep({ world, onTable, onSet }: SourceProps) {
  return (
    <div className="grid gap-6 lg:grid-cols-2">
      {world.purpose === 'set' && (
        <div className="flex flex-col gap-6">
          {world.catalogue.length > 0 && <Catalogue world={world} onSet={onSet} />}
          {world.samples && <Samples onTable={onTable} />}
        </div>
      )}
      <OwnTable onTable={onTable} world={world} />
    </div>
  );
}

function Catalogue({ world, onSet }: { world: ImportWorld; onSet: (code: string) => void }) {
  const [wanted, setWanted] = useState('');
  const shown = world.catalogue.filter((s) =>
    `${s.name} ${s.code} ${s.year}`.toLowerCase().includes(wanted.toLowerCase()),
  );
  return (
    <section aria-label="Choose a set">
      <h2 className="mb-2 text-[16px]">Choose a set</h2>
      {world.catalogue.length > 4 && (
        <input
          value={wanted}
          onChange={(e) => setWanted(e.target.value)}
          aria-label="Find a set"
          placeholder="Find a set"
          className="border-edge bg-sheet mb-2 min-h-8 w-full rounded-md border px-2"
        />
      )}
      <ul className="border-rule border-t">
        {shown.map((s) => (
          <li key={s.code} className="border-rule flex items-center gap-3 border-b py-2">
            <div className="min-w-0 flex-1">
              <b className="block truncate">{s.name}</b>
              <span className="text-faint">
                {s.maker} {s.code}, {s.year}
              </span>
            </div>
            <span className="text-soft text-right">
              {count(s.pieces)} pieces
              {s.extras > 0 && ` + ${s.extras} extras`}
            </span>
            <Button onClick={() => onSet(s.code)} aria-label={`Choose ${s.name}`}>
              Choose
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Small invented sets to begin with; they come as a person's own file would. */
const SAMPLES = [
  { name: 'Gate lodge', file: '/samples/gate-lodge.csv', says: 'a small house with a gate, in four zones' },
  { name: 'Crane barge', file: '/samples/crane-barge.csv', says: 'a boat with a crane, in four zones' },
] as const;

function Samples({ onTable }: Pick<SourceProps, 'onTable'>) {
  const [says, setSays] = useState('');
  const take = async ({ name, file }: (typeof SAMPLES)[number]) => {
    const text = await fetch(file).then(
      (r) => (r.ok ? r.text() : null),
      () => null,
    );
    const read = text === null ? null : readDelimited(text);
    if (read?.ok) onTable(read.value, name);
    else setSays('The sample could not be read. Try again.');
  };
  return (
    <section aria-label="Choose a sample">
      <h2 className="mb-1 text-[16px]">Try it with a sample</h2>
      <p className="text-soft mb-2">
        An invented set, read in the way your own list is. It can be deleted later.
      </p>
      <ul className="border-rule border-t">
        {SAMPLES.map((s) => (
          <li key={s.file} className="border-rule flex items-center gap-3 border-b py-2">
            <div className="min-w-0 flex-1">
              <b className="block">{s.name}</b>
              <span className="text-faint">{s.says}</span>
            </div>
            <Button onClick={() => void take(s)} aria-label={`Choose ${s.name}`}>
              Choose
            </Button>
          </li>
        ))}
      </ul>
      <p role="status" className="mt-1 font-medium">
        {says}
      </p>
    </section>
  );
}

const TYPED_EXAMPLE =
  '[Walls]\n24 brick 2x4 white\n30 brick 1x2 light grey\n[Roof]\n20 slope 45 2x2 dark red\n';
const PASTED_EXAMPLE =
  'Part\tColour\tHow many\tZone\nbrick 2x4\twhite\t24\tWalls\nbrick 1x2\tlight grey\t30\tWalls\nslope 45 2x2\tdark red\t20\tRoof\n';

const SAYS = {
  set: 'An inventory with a part, a colour and a quantity in each row. Any column names, in any order.',
  stock: 'Your own parts with a colour and a quantity in each row, and a tray if you have it written down.',
  prices: 'Parts and colours with what a piece costs, new, used or both.',
  register: 'Parts and colours that were made, with the years from and to where they are known.',
} as const;

function OwnTable({ onTable, world }: Pick<SourceProps, 'onTable' | 'world'>) {
  const { purpose } = world;
  const [says, setSays] = useState('');
  const [pasted, setPasted] = useState('');
  const readFile = async (chosen: File) => {
    setSays(`Reading ${chosen.name}…`);
    const read = await upload(chosen);
    setSays(read.ok ? '' : `${chosen.name}: ${uploadFaultWords(read.reason)}`);
    if (read.ok) onTable(read.value, chosen.name.replace(/\.[^.]*$/, ''));
  };
  const readPasted = () => {
    const typed = purpose === 'set' || purpose === 'stock' ? typedTable(pasted, world.palette) : null;
    if (typed) return onTable(typed, 'Typed lines');
    const read = readDelimited(pasted);
    setSays(read.ok ? '' : uploadFaultWords(read.reason));
    if (read.ok) onTable(read.value, 'Pasted block');
  };
  return (
    <section aria-label="Import a table of your own">
      <h2 className="mb-1 text-[16px]">
        {purpose === 'set'
          ? 'Or import an inventory'
          : purpose === 'stock'
            ? 'Import your own parts'
            : purpose === 'prices'
              ? 'Import a price list'
              : 'Import a list for the register'}
      </h2>
      <p className="text-soft mb-2">{SAYS[purpose]}</p>
      <FileDrop
        words="Choose a file"
        label="Table file"
        accept=".csv,.tsv,.txt,.xlsx,text/csv,text/tab-separated-values"
        className="mb-3 p-6 text-center"
        onFile={(chosen) => void readFile(chosen)}
      >
        <p className="mb-2">Drop a CSV, TSV or XLSX file here, up to 20 MB and 50,000 rows.</p>
        {purpose === 'set' && (
          <p className="mb-2">
            <a className="underline" href={SAMPLES[0].file} download>
              Save an example of one
            </a>
          </p>
        )}
      </FileDrop>
      <label className="block">
        <span className="text-soft">
          {purpose === 'set' || purpose === 'stock'
            ? 'Or paste a block from a spreadsheet, or type a line for each kind of part'
            : 'Or paste a block from a spreadsheet'}
        </span>
        <textarea
          value={pasted}
          onChange={(e) => setPasted(e.target.value)}
          rows={5}
          placeholder={'Part\tColour\tHow many\nplate 2x3\tchalk\t4'}
          className="border-edge bg-sheet mt-1 block w-full rounded-md border p-2 font-mono text-[12px]"
        />
      </label>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button look="main" disabled={!pasted.trim()} onClick={readPasted}>
          Read the block
        </Button>
        {(purpose === 'set' || purpose === 'stock') && (
          <>
            <Button onClick={() => setPasted(TYPED_EXAMPLE)}>Put in an example, typed</Button>
            <Button onClick={() => setPasted(PASTED_EXAMPLE)}>Put in an example, pasted</Button>
          </>
        )}
      </div>
      <p role="status" className="mt-2 font-medium">
        {says}
      </p>
    </section>
  );
}

async function upload(
  chosen: File,
): Promise<{ ok: true; value: RawTable } | { ok: false; reason: { fault: string } }> {
  if (chosen.size > 20 * 1024 * 1024) return { ok: false, reason: { fault: 'too large' } };
  try {
    const response = await fetch('/api/import/read', {
      method: 'POST',
      body: chosen,
      headers: { 'content-type': 'application/octet-stream' },
    });
    return (await response.json()) as { ok: true; value: RawTable };
  } catch {
    return { ok: false, reason: { fault: 'unreachable' } };
  }
}
