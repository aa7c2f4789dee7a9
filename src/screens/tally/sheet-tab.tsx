'use client';

import { ArrowDown, ArrowUp } from 'lucide-react';
import { useMemo, useState } from 'react';
import { keepModSheet, modSheetOf, photosOf, sheetHtml, type SheetDocument } from '@/core/mod-sheet';
import { PAPERS, PRIVATE_THINGS, SHEET_PARTS, type ModSheet, type SheetPart } from '@/core/records';
import { Button } from '@/ui/button';
import { Check, Field, Select } from '@/ui/field';
import { saveBlob } from '@/ui/save-file';
import { useBuild } from '../common/build-store';
import { NameField } from '../common/name-field';
import { useToday } from '../common/use-today';
import { PartsListForm } from './parts-list-form';
import { composeSheet, sheetData } from './sheet/compose';
import { picturesOf } from './sheet/pictures-of';
import { SheetView } from './sheet/sheet-view';

/** One document from all that is known of the mod: its parts chosen and ordered, as a page, a PDF and one HTML file. */
export function SheetTab({ planned }: { planned: boolean }) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const today = useToday();
  const sheet = modSheetOf(workbench);
  const document = useMemo(() => {
    void version;
    return composeSheet(workbench, { sheet: modSheetOf(workbench), planned, today });
  }, [workbench, version, planned, today]);
  const keep = (more: Partial<ModSheet>) => perform(keepModSheet(workbench, { ...sheet, ...more }));
  return (
    <div className="mx-auto grid max-w-6xl gap-6 lg:grid-cols-[320px_1fr] print:block">
      <div className="no-print flex flex-col gap-3">
        <h1 className="text-[21px] leading-tight">The mod, told to others</h1>
        <SaveSheet document={document} planned={planned} />
        <NameField
          label="Title"
          value={sheet.title}
          mayBeEmpty
          onKeep={(title) => keep({ title: title.slice(0, 200) })}
        />
        <NameField
          label="By; may be empty"
          value={sheet.author}
          mayBeEmpty
          onKeep={(author) => keep({ author: author.slice(0, 200) })}
        />
        <NameField
          label="A few words at the top"
          value={sheet.lead}
          mayBeEmpty
          onKeep={(lead) => keep({ lead })}
        />
        <NameField label="Thanks" value={sheet.thanks} mayBeEmpty onKeep={(thanks) => keep({ thanks })} />
        <Field label="Paper">
          <Select value={sheet.paper} onChange={(e) => keep({ paper: e.target.value as ModSheet['paper'] })}>
            {PAPERS.map((p) => (
              <option key={p}>{p}</option>
            ))}
          </Select>
        </Field>
        <PartsOrder parts={sheet.parts} onKeep={(parts) => keep({ parts })} />
        <fieldset>
          <legend className="font-semibold">Private; left out unless chosen</legend>
          {PRIVATE_THINGS.map((t) => (
            <Check
              key={t}
              words={t}
              on={sheet.tells.includes(t)}
              onChange={(on) =>
                keep({ tells: on ? [...sheet.tells, t] : sheet.tells.filter((x) => x !== t) })
              }
            />
          ))}
        </fieldset>
        <PartsListForm planned={planned} />
      </div>
      <SheetView document={document} />
    </div>
  );
}

/** Which parts the sheet has, in which order. */
function PartsOrder({
  parts,
  onKeep,
}: {
  parts: readonly SheetPart[];
  onKeep: (parts: readonly SheetPart[]) => void;
}) {
  const rest = SHEET_PARTS.filter((p) => !parts.includes(p));
  const shift = (part: SheetPart, by: -1 | 1) => {
    const at = parts.indexOf(part) + by;
    const others = parts.filter((p) => p !== part);
    onKeep([...others.slice(0, at), part, ...others.slice(at)]);
  };
  return (
    <fieldset>
      <legend className="font-semibold">Its parts, in their order</legend>
      <ul>
        {[...parts, ...rest].map((p, i) => {
          const on = parts.includes(p);
          return (
            <li key={p} className="flex items-center gap-1">
              <span className="min-w-0 flex-1">
                <Check
                  words={p}
                  on={on}
                  onChange={(yes) => onKeep(yes ? [...parts, p] : parts.filter((x) => x !== p))}
                />
              </span>
              {([-1, 1] as const).map((by) => (
                <Button
                  key={by}
                  aria-label={`${p} ${by < 0 ? 'up' : 'down'}`}
                  disabled={!on || (by < 0 ? i === 0 : i >= parts.length - 1)}
                  onClick={() => shift(p, by)}
                >
                  {by < 0 ? <ArrowUp size={13} aria-hidden /> : <ArrowDown size={13} aria-hidden />}
                </Button>
              ))}
            </li>
          );
        })}
      </ul>
    </fieldset>
  );
}

/** Saves the sheet as one HTML file that stands alone, or as a PDF. */
function SaveSheet({ document: sheet, planned }: { document: SheetDocument; planned: boolean }) {
  const workbench = useBuild((s) => s.workbench);
  const [says, setSays] = useState('');
  const html = async () => {
    setSays('Putting the pictures in…');
    const pictures = await picturesOf(photosOf(sheet));
    const data = sheetData(workbench, { sheet: modSheetOf(workbench), planned });
    const text = sheetHtml(sheet, { palette: workbench.palette, pictures, data });
    saveBlob(new Blob([text], { type: 'text/html' }), 'mod-sheet.html');
    setSays(
      pictures.size < photosOf(sheet).length ? '▲ Some pictures could not be read, and are not in it.' : '',
    );
  };
  const pdf = async () => {
    setSays('Making the PDF…');
    try {
      const response = await fetch(`/api/builds/${workbench.build}/sheet-pdf`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(sheet),
      });
      if (!response.ok) return setSays('▲ The PDF could not be made. Leave some parts out, and try again.');
      saveBlob(await response.blob(), 'mod-sheet.pdf');
      setSays('');
    } catch {
      setSays('▲ The server cannot be reached. Try again.');
    }
  };
  return (
    <div className="flex flex-wrap gap-2">
      <Button look="main" onClick={() => void html()}>
        Save as HTML
      </Button>
      <Button onClick={() => void pdf()}>Save as PDF</Button>
      <p role="status" className="w-full empty:hidden">
        {says}
      </p>
    </div>
  );
}
