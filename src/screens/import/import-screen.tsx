'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { CatalogueLot } from '@/data/catalogue';
import type { ImportBoxes } from '@/server/import-schemas';
import { AppHeader } from '@/ui/app-header';
import { Button } from '@/ui/button';
import { Field, Input } from '@/ui/field';
import { count, pieces } from '@/ui/numbers';
import { PaletteProvider } from '@/ui/palette-context';
import { useBackground } from '../common/use-background';
import { refusalWords } from '../words/refusal';
import { emptyBox, type Box } from './box-form';
import { BoxesForm } from './boxes-form';
import { memoryKey, useTable, type ImportWorld } from './import-state';
import { ColoursStep, ColumnsStep } from './columns-step';
import { RowsTable } from './rows-table';
import { SourceStep } from './source-step';

const QUESTIONS = {
  set: 'What is in the box?',
  stock: 'Which parts are yours?',
  prices: 'What does a piece cost?',
  register: 'Which part was made in which colour?',
} as const;

/** Sends what was agreed to, and says what came of it. */
function useSending() {
  const [busy, setBusy] = useState(false);
  const [says, setSays] = useState('');
  const send = async (what: string, input: unknown, then: (value: { build?: string }) => void) => {
    setBusy(true);
    setSays('Importing…');
    const answer = await post({ what, input });
    setBusy(false);
    if (answer?.ok) then(answer.value ?? {});
    else
      setSays(
        answer
          ? refusalWords(answer.reason)
          : 'The server cannot be reached. Nothing was imported; try again.',
      );
  };
  return { busy, says, setSays, send };
}

/** Bringing something in: choose or read it, inspect it row by row, agree. Until then nothing is taken. */
export function ImportScreen({ world }: { world: ImportWorld }) {
  const tools = useTable(world);
  const router = useRouter();
  useBackground();
  const [boxes, setBoxes] = useState<readonly Box[]>([]);
  const [name, setName] = useState('');
  const [tray, setTray] = useState('New tray');
  const [leaveOut, setLeaveOut] = useState(false);
  const { busy, says, setSays, send } = useSending();
  const [remembered, setRemembered] = useState<ImportBoxes['memory']>(null);
  const [request] = useState(() => crypto.randomUUID());
  const good = tools.rows.filter((r) => r.faults.length === 0 && r.element);
  const faulty = tools.rows.length - good.length;
  const addSet = async (code: string) => {
    const set = world.catalogue.find((s) => s.code === code);
    const lots = await readSet(code);
    if (!lots || !set) return setSays('That set could not be read. Try again.');
    setBoxes((b) => [
      ...b,
      { ...emptyBox(set.name, set.code), lots: lots.map((l) => ({ ...l, condition: null })) },
    ]);
    if (!name) setName(set.name);
  };
  const addTable = () => {
    if (!tools.state) return;
    const lots = good.flatMap((r) =>
      r.element
        ? [{ element: r.element, qty: r.qty, condition: r.condition, zone: r.zone, extra: r.extra }]
        : [],
    );
    setBoxes((b) => [...b, { ...emptyBox(tools.state?.title ?? 'Inventory', ''), lots }]);
    if (!name) setName(tools.state.title);
    setRemembered(columns);
    tools.drop();
  };
  const colours = {
    made: tools.made,
    matched: [...tools.matched].map(([text, colour]) => ({ text, colour })),
  };
  const columns = tools.state
    ? { key: memoryKey(world.purpose, tools.state.table), roles: [...tools.state.roles] }
    : null;
  const memory = columns ?? remembered;
  const importBoxes = () => {
    const build = world.build ? { id: world.build.id } : { name: name.trim() };
    const input: Omit<ImportBoxes, 'colours'> & { colours: unknown } = {
      request,
      build,
      boxes: boxes.map(boxInput),
      colours,
      memory,
    };
    void send('boxes', input, (v) => router.push(`/builds/${v.build}`));
  };
  const importStock = () => {
    const lots = good.map((r) => ({
      element: r.element,
      qty: r.qty,
      condition: r.condition,
      tray: r.tray,
      place: r.place,
      worth: r.usedPrice,
    }));
    void send('stock', { request, tray: tray.trim() || 'New tray', lots, colours, memory }, () =>
      router.push('/own-parts'),
    );
  };
  const importPrices = () => {
    const prices = good.map((r) => ({ element: r.element, newPrice: r.newPrice, usedPrice: r.usedPrice }));
    void send('prices', { request, prices, colours, memory }, () => router.push('/prices'));
  };
  const importRegister = () => {
    const made = good.map((r) => ({ element: r.element, from: r.from, to: r.to }));
    void send('register', { request, made, colours, memory }, () => router.back());
  };
  const takes = { set: addTable, stock: importStock, prices: importPrices, register: importRegister };
  const ready = good.length > 0 && (faulty === 0 || leaveOut);
  const looking = tools.state !== null;
  return (
    <PaletteProvider palette={tools.palette}>
      <div className="flex min-h-dvh flex-col">
        <AppHeader screen="Import" />
        <main className="mx-auto w-full max-w-6xl flex-1 px-4 py-5">
          <h1 className="text-[24px] leading-tight">{QUESTIONS[world.purpose]}</h1>
          <p className="text-soft mb-4">
            {tools.state ? (
              <Summary good={good} faulty={faulty} purpose={world.purpose} />
            ) : (
              'Choose it or import it. It is shown row by row, and nothing is taken until you agree.'
            )}
          </p>
          {boxes.length > 0 && (
            <BoxesForm
              boxes={boxes}
              onChange={setBoxes}
              name={name}
              onName={setName}
              build={world.build}
              busy={busy}
              onTake={importBoxes}
            />
          )}
          {!looking && <SourceStep world={world} onTable={tools.take} onSet={(code) => void addSet(code)} />}
          {looking && (
            <div className="flex flex-col gap-4">
              <ColumnsStep tools={tools} purpose={world.purpose} />
              <ColoursStep tools={tools} />
              <RowsTable tools={tools} purpose={world.purpose} />
              <div className="flex flex-wrap items-end gap-3">
                {world.purpose === 'stock' && (
                  <Field label="Tray for rows that name none">
                    <Input value={tray} maxLength={200} onChange={(e) => setTray(e.target.value)} />
                  </Field>
                )}
                {faulty > 0 && (
                  <label className="flex min-h-7 items-center gap-1.5">
                    <input
                      type="checkbox"
                      className="size-4"
                      checked={leaveOut}
                      onChange={(e) => setLeaveOut(e.target.checked)}
                    />
                    leave the {count(faulty)} {faulty === 1 ? 'row' : 'rows'} with faults out
                  </label>
                )}
                <span className="flex-1" />
                <Button onClick={tools.drop}>Choose something else</Button>
                <Button look="main" disabled={!ready || busy} onClick={takes[world.purpose]}>
                  {world.purpose === 'set' ? 'Use these rows' : 'Agree and import them'}
                </Button>
              </div>
            </div>
          )}
          <p role="status" className="mt-3 font-medium">
            {says}
          </p>
        </main>
      </div>
    </PaletteProvider>
  );
}

function Summary({
  good,
  faulty,
  purpose,
}: {
  good: readonly { qty: number }[];
  faulty: number;
  purpose: ImportWorld['purpose'];
}) {
  const total = good.reduce((s, r) => s + r.qty, 0);
  const taken =
    purpose === 'prices'
      ? `${count(good.length)} ${good.length === 1 ? 'price' : 'prices'} will be set`
      : purpose === 'register'
        ? `${count(good.length)} ${good.length === 1 ? 'row' : 'rows'} will join the register`
        : `${pieces(total)} in ${count(good.length)} ${good.length === 1 ? 'row' : 'rows'} will be imported`;
  return (
    <>{`${taken}${faulty > 0 ? `; ${count(faulty)} ${faulty === 1 ? 'row has a fault' : 'rows have faults'} and will not be` : ''}.`}</>
  );
}

const boxInput = (b: Box): ImportBoxes['boxes'][number] => ({
  setName: b.setName,
  setCode: b.setCode,
  copies: b.copies,
  condition: b.condition,
  role: b.role,
  price: b.price,
  lots: [...b.lots],
});

async function readSet(code: string): Promise<CatalogueLot[] | undefined> {
  try {
    const answer = (await (await fetch(`/api/catalogue/${encodeURIComponent(code)}`)).json()) as {
      ok: boolean;
      value: CatalogueLot[];
    };
    return answer.ok ? answer.value : undefined;
  } catch {
    return undefined;
  }
}

async function post(
  body: unknown,
): Promise<{ ok: boolean; value?: { build?: string }; reason?: unknown } | undefined> {
  try {
    const response = await fetch('/api/import/take', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    return (await response.json()) as { ok: boolean };
  } catch {
    return undefined;
  }
}
