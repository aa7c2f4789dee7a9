'use client';

import { useState, type ReactNode } from 'react';
import { COLOUR_NAMES, SETTINGS_ID, START_PAGES, SURROUNDS, type Settings } from '@/core/records';
import { changeSettings, namesOf, type Settled, type UndoRedo } from '@/core/workbench';
import {
  DATE_FORMS,
  DECIMALS,
  formatCurrency,
  formatDay,
  formatLengths,
  LENGTH_UNITS,
} from '@/core/shared/forms';
import { AppHeader } from '@/ui/app-header';
import { Check, Field, Select } from '@/ui/field';
import { UndoButtons, useOwnPartsActs } from '../common/own-parts-acts';
import { DemoCopy } from './demo-copy';
import { DevicesPanel } from './devices-panel';

interface SettingsProps {
  readonly settled: Settled;
  /** What is kept; none = nobody asked yet. */
  readonly kept: Settings | null;
  readonly revision: number;
  readonly undoRedo: UndoRedo;
  readonly folder: string;
  readonly isEmpty: boolean;
}

/** Currencies that people asked for; another ISO code that is kept stays in the list. */
const CURRENCIES = [
  ...['GBP', 'EUR', 'USD', 'CAD', 'AUD', 'NZD', 'CHF', 'SEK', 'NOK', 'DKK', 'PLN', 'CZK', 'HUF', 'RON'],
  ...['JPY', 'CNY', 'KRW', 'HKD', 'SGD', 'TWD', 'THB', 'INR', 'MXN', 'BRL', 'ZAR', 'TRY', 'ILS', 'UAH'],
];

const DECIMAL_WORDS = { point: 'a point: 1,234.50', comma: 'a comma: 1.234,50' } as const;
const UNIT_WORDS = { mm: 'millimetres', cm: 'centimetres', inches: 'inches' } as const;
const START_WORDS = {
  builds: 'the list of builds',
  'last build': 'the build worked on last',
  'own parts': 'own parts',
} as const;
const SURROUND_WORDS = { light: 'light', dark: 'dark', 'as the system': 'as the system has it' } as const;
const NAME_WORDS = {
  invented: 'the palette’s names',
  plain: 'a plain word, and the palette’s name',
  own: 'the name in my lists, and the palette’s name',
} as const;

/** How this workspace shows what it knows. It goes with the workspace: into its backups, and to whoever opens it. */
export function SettingsScreen({ settled, kept, revision, undoRedo, folder, isEmpty }: SettingsProps) {
  const { palette, aliases } = settled;
  const acts = useOwnPartsActs({ revision, undoRedo }, SETTINGS_ID);
  // What was chosen and is on its way: the next choice begins from it, however quick it comes.
  const [ahead, setAhead] = useState<{ settings: Settings; says: string } | null>(null);
  const isSaid = acts.says !== '' && acts.says !== ahead?.says;
  if (ahead && (isSaid || JSON.stringify(ahead.settings) === JSON.stringify(kept))) setAhead(null);
  const settings = ahead?.settings ?? settled.settings;
  const set = (to: Partial<Settings>) => {
    acts.perform(changeSettings(ahead?.settings ?? kept ?? undefined, to));
    setAhead({ settings: { ...settings, ...to }, says: acts.says });
  };
  const sample = palette.find((c) => c.id === 'slate') ?? palette[0];
  const nameNow = (sample && namesOf(settings.colourNames, palette, aliases).get(sample.id)) ?? sample?.id;
  return (
    <div className="flex min-h-dvh flex-col">
      <AppHeader screen="Settings" />
      <main className="mx-auto w-full max-w-4xl flex-1 px-4 py-6">
        <div className="mb-4 flex flex-wrap items-end gap-3">
          <div className="min-w-64 flex-1">
            <h1 className="text-[24px] leading-tight">How this workspace writes and looks.</h1>
            <p className="text-soft mt-1">
              Kept with it, in its backups too. Nothing that was logged changes.
            </p>
          </div>
          <UndoButtons undoRedo={undoRedo} acts={acts} />
        </div>
        <p role="status" className="font-medium">
          {acts.says}
        </p>
        <div className="grid gap-x-8 gap-y-6 md:grid-cols-2">
          <Group title="Money and numbers" example={`${formatCurrency(123_450)}, ${formatCurrency(-95)}`}>
            <Choice
              label="Currency"
              value={settings.currency}
              of={[...new Set([settings.currency, ...CURRENCIES])]}
              words={currencyWords}
              onChange={(currency) => set({ currency })}
            />
            <Choice
              label="Decimal mark"
              value={settings.decimal}
              of={DECIMALS}
              words={(d) => DECIMAL_WORDS[d]}
              onChange={(decimal) => set({ decimal })}
            />
            <p className="text-soft">
              Amounts are not converted: a price of 1.20 stays 1.20. Typing takes a point or a comma,
              whichever is chosen.
            </p>
          </Group>
          <Group
            title="Days and lengths"
            example={`${formatDay('2026-11-29')}, ${formatLengths([384, 128, 134.4])}`}
          >
            <Choice
              label="Days"
              value={settings.dates}
              of={DATE_FORMS}
              words={(d) => d}
              onChange={(dates) => set({ dates })}
            />
            <Choice
              label="Lengths beside studs"
              value={settings.units}
              of={LENGTH_UNITS}
              words={(u) => UNIT_WORDS[u]}
              onChange={(units) => set({ units })}
            />
          </Group>
          <Group title="Colours" example={`brick 2x4 ${nameNow}`}>
            <Choice
              label="Names of colours"
              value={settings.colourNames}
              of={COLOUR_NAMES}
              words={(n) => NAME_WORDS[n]}
              onChange={(colourNames) => set({ colourNames })}
            />
            <Choice
              label="Surround"
              value={settings.surround}
              of={SURROUNDS}
              words={(s) => SURROUND_WORDS[s]}
              onChange={(surround) => set({ surround })}
            />
            <p className="text-soft">
              Bricks keep their colour in both. The log line takes the palette’s names and plain words,
              whatever is shown.
            </p>
          </Group>
          <Group title="Keys and start">
            <Check
              words="single letters are commands outside fields"
              on={settings.letterKeys}
              onChange={(letterKeys) => set({ letterKeys })}
            />
            <Choice
              label="Evarn opens with"
              value={settings.startPage}
              of={START_PAGES}
              words={(p) => START_WORDS[p]}
              onChange={(startPage) => set({ startPage })}
            />
          </Group>
        </div>
        <section aria-label="Where it is" className="border-rule mt-8 border-t pt-4">
          <h2 className="text-[16px]">Where it is</h2>
          <p className="mt-1 max-w-prose">
            All of it is in one folder of this machine: <code className="font-mono break-all">{folder}</code>.{' '}
            <a className="underline" href="/api/backup" download>
              Back everything up
            </a>{' '}
            saves it as one file; restoring one is under Files, on the list of builds.
          </p>
          {settings.isDemo && <p className="mt-1">What is here came with Evarn: it is the demo.</p>}
          {!settings.isDemo && isEmpty && <DemoCopy />}
        </section>
        <DevicesPanel />
      </main>
    </div>
  );
}

function Group({ title, example, children }: { title: string; example?: string; children: ReactNode }) {
  return (
    <section aria-label={title} className="flex flex-col gap-3">
      <div>
        <h2 className="text-[16px]">{title}</h2>
        {example && <p className="font-head text-[18px]">{example}</p>}
      </div>
      {children}
    </section>
  );
}

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly of: readonly T[];
  readonly words: (value: T) => string;
  readonly onChange: (value: T) => void;
}

function Choice<T extends string>({ label, value, of, words, onChange }: ChoiceProps<T>) {
  return (
    <Field label={label} className="w-full">
      <Select value={value} onChange={(e) => onChange(e.target.value as T)}>
        {of.map((o) => (
          <option key={o} value={o}>
            {words(o)}
          </option>
        ))}
      </Select>
    </Field>
  );
}

const NAMES = new Intl.DisplayNames('en', { type: 'currency' });
/** "EUR, Euro" */
function currencyWords(code: string): string {
  const name = NAMES.of(code);
  return name && name !== code ? `${code}, ${name}` : code;
}
