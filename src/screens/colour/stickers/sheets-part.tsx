'use client';

import { useMemo, useState } from 'react';
import { deleteSheet, fromSheet, keepSheet, newSheet, sheetAreas } from '@/core/stickers';
import { SHEET_KINDS, STANDS, type StickerSheet } from '@/core/records';
import { Button } from '@/ui/button';
import { Field, Select } from '@/ui/field';
import { count } from '@/ui/numbers';
import { useBuild } from '../../common/build-store';
import { JobChoice } from '../../common/job-choice';
import { JobColumns } from '../../common/job-columns';
import { MoneyBox } from '../../common/money-box';
import { NameField } from '../../common/name-field';
import { KeptPhoto, PhotoButton } from '../../common/photo-button';
import { Sum } from '../../common/result';
import { areaWords, SHEET_WORDS } from '../../words/stickers';
import { SheetFields } from './sheet-fields';

/** Sticker sheets that lie in the drawer, and what is left of each. */
export function SheetsPart() {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [chosen, choose] = useState<string | null>(null);
  const sheets = useMemo(() => {
    void version;
    return [...workbench.records.stickerSheet.values()].sort((a, b) => a.name.localeCompare(b.name, 'en'));
  }, [workbench, version]);
  const sheet = sheets.find((s) => s.id === chosen) ?? sheets[0];
  const begin = () => {
    const made = newSheet(source());
    perform(keepSheet(workbench, made));
    choose(made.id);
  };
  if (!sheet)
    return (
      <div className="p-4">
        <Sum
          title="Sticker sheets"
          form={
            <Button look="main" onClick={begin}>
              Add a sticker sheet
            </Button>
          }
        >
          <p className="text-soft max-w-prose">
            What is left of sheets is kept as fields with their sizes and colours, so that stripes can be cut
            from it.
          </p>
        </Sum>
      </div>
    );
  const keep = (more: Partial<StickerSheet>) => perform(keepSheet(workbench, { ...sheet, ...more }));
  const { all, left } = sheetAreas(sheet);
  const used = fromSheet(workbench, sheet);
  return (
    <JobColumns
      left={
        <>
          <JobChoice
            label="Sticker sheets"
            jobs={sheets}
            chosen={sheet}
            onChoose={choose}
            onBegin={begin}
            onDelete={() => perform(deleteSheet(sheet))}
          />
          <SheetForm key={sheet.id} sheet={sheet} onKeep={keep} />
        </>
      }
      side={
        <aside
          aria-label="What was taken from it"
          tabIndex={0}
          className="border-rule min-h-0 border-l p-4 lg:overflow-auto"
        >
          <h2 className="text-[16px]">Taken from it for this build</h2>
          {used.length === 0 && <p className="text-soft">Nothing yet.</p>}
          <ul>
            {used.map((s) => (
              <li key={s.id} className="border-rule border-b py-1">
                {s.name}
              </li>
            ))}
          </ul>
          <KeptPhoto id={sheet.photo} words={`Photo of ${sheet.name}`} className="mt-3 w-full rounded-sm" />
        </aside>
      }
    >
      <h1 className="mb-2 text-[21px] leading-tight">
        {sheet.fields.length === 0
          ? 'Say which fields it has.'
          : `${areaWords(left)} of ${areaWords(all)} are left, in ${count(sheet.fields.length)} ${sheet.fields.length === 1 ? 'field' : 'fields'}.`}
      </h1>
      <div className="bg-sheet text-ink rounded-lg p-4">
        <SheetFields key={sheet.id} sheet={sheet} onKeep={(fields) => keep({ fields })} />
      </div>
      <p className="text-background-soft mt-2">{count(sheets.length)} sheets serve all builds.</p>
    </JobColumns>
  );
}

const TEXTS = [
  ['fromSet', 'From which set, which edition'],
  ['printer', 'Printer'],
  ['material', 'Material'],
] as const;

function SheetForm({
  sheet,
  onKeep,
}: {
  sheet: StickerSheet;
  onKeep: (more: Partial<StickerSheet>) => void;
}) {
  return (
    <>
      <NameField label="Name" value={sheet.name} onKeep={(name) => onKeep({ name })} />
      <Field label="What it is">
        <Select value={sheet.kind} onChange={(e) => onKeep({ kind: e.target.value as StickerSheet['kind'] })}>
          {SHEET_KINDS.map((k) => (
            <option key={k} value={k}>
              {SHEET_WORDS[k]}
            </option>
          ))}
        </Select>
      </Field>
      {TEXTS.map(([key, label]) => (
        <NameField
          key={key}
          label={label}
          value={sheet[key]}
          mayBeEmpty
          onKeep={(text) => onKeep({ [key]: text.slice(0, 120) })}
        />
      ))}
      <MoneyBox label="What it cost" value={sheet.cost} onChange={(cost) => onKeep({ cost })} />
      <div className="flex gap-2">
        {(['water', 'heat'] as const).map((what) => (
          <Field key={what} label={`Stands ${what}`} className="flex-1">
            <Select
              value={sheet[what]}
              onChange={(e) => onKeep({ [what]: e.target.value as StickerSheet['water'] })}
            >
              {STANDS.map((s) => (
                <option key={s}>{s}</option>
              ))}
            </Select>
          </Field>
        ))}
      </div>
      <NameField label="Note" value={sheet.note} mayBeEmpty onKeep={(note) => onKeep({ note })} />
      <div className="flex gap-2">
        <PhotoButton words="Add a photo" label="Photo of the sheet" onKept={(photo) => onKeep({ photo })} />
        {sheet.photo && <Button onClick={() => onKeep({ photo: null })}>Leave the photo out</Button>}
      </div>
    </>
  );
}
