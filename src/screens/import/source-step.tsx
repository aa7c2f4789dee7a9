'use client';

import { useState } from 'react';
import { readDelimited, type RawTable } from '@/core/formats';
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
      {world.purpose === 'set' && <Catalogue world={world} onSet={onSet} />}
      <OwnTable onTable={onTable} purpose={world.purpose} />
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
      {world.catalogue.length === 0 && (
        <p className="text-soft">No catalogue is in this workspace. Import an inventory of your own.</p>
      )}
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

const SAYS = {
  set: 'An inventory with a part, a colour and a quantity in each row. Any column names, in any order.',
  stock: 'Your own parts with a colour and a quantity in each row, and a tray if you have it written down.',
  prices: 'Parts and colours with what a piece costs, new, used or both.',
  register: 'Parts and colours that were made, with the years from and to where they are known.',
} as const;

function OwnTable({
  onTable,
  purpose,
}: {
  onTable: SourceProps['onTable'];
  purpose: ImportWorld['purpose'];
}) {
  const [says, setSays] = useState('');
  const [pasted, setPasted] = useState('');
  const readFile = async (chosen: File) => {
    setSays(`Reading ${chosen.name}…`);
    const read = await upload(chosen);
    setSays(read.ok ? '' : `${chosen.name}: ${uploadFaultWords(read.reason)}`);
    if (read.ok) onTable(read.value, chosen.name.replace(/\.[^.]*$/, ''));
  };
  const readPasted = () => {
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
      </FileDrop>
      <label className="block">
        <span className="text-soft">Or paste a block from a spreadsheet</span>
        <textarea
          value={pasted}
          onChange={(e) => setPasted(e.target.value)}
          rows={5}
          placeholder={'Part\tColour\tHow many\nplate 2x3\tchalk\t4'}
          className="border-edge bg-sheet mt-1 block w-full rounded-md border p-2 font-mono text-[12px]"
        />
      </label>
      <Button className="mt-2" disabled={!pasted.trim()} onClick={readPasted}>
        Read the block
      </Button>
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
