'use client';

import { ActSelect } from '@/ui/act-select';
import { differenceWords } from '../words/colour';
import { useMemo, useState } from 'react';
import { affordableColours, type ColourOffer, type WantedShape } from '@/core/recolouring';
import type { Audit, Register } from '@/core/mismatch';
import { onPieces } from '@/core/ledger';
import { elementKey, readPartName, splitElementKey } from '@/core/parts';
import type { PartId } from '@/core/shared/ids';
import { Field, Select } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { count, modNo, money, pieces, priced } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { thisYear } from '../common/use-register';
import { list } from '../words/places';

const EXAMPLE = '24 brick 1x4\n16 brick 1x2\n6 brick 1x1';

/** For a list of shapes, every colour ranked: how much is at hand, what is to buy, what was never made in it. */
export function AffordTab({ audit, register }: { audit: Audit; register: Register }) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const [text, setText] = useState(EXAMPLE);
  const [zone, setZone] = useState(audit.zones[0]?.zone ?? null);
  const { shapes, bad } = useMemo(() => readShapes(text), [text]);
  const scheme = audit.zones.find((z) => z.zone === zone)?.scheme;
  const report = useMemo(() => {
    void version;
    return affordableColours(workbench, shapes, scheme ?? [], register, thisYear());
  }, [workbench, version, shapes, scheme, register]);
  const total = shapes.reduce((s, w) => s + w.qty, 0);
  const whole = report.colours.filter((c) => c.cannot.length === 0);
  const [best] = whole;
  return (
    <div className="grid h-full min-h-0 max-lg:overflow-auto lg:grid-cols-[320px_1fr]">
      <section
        aria-label="Shapes needed"
        className="border-rule flex min-h-0 flex-col gap-3 overflow-auto border-r p-4"
      >
        <Field label="Shapes: a number and a part on each line">
          <textarea
            value={text}
            onChange={(e) => setText(e.target.value)}
            rows={9}
            spellCheck={false}
            className="border-edge bg-sheet rounded-md border p-2 font-mono"
            aria-describedby="shapes-say"
          />
        </Field>
        <p id="shapes-say" role="status">
          {bad.length > 0
            ? `▲ Not understood: ${list(bad.slice(0, 3).map((b) => `“${b}”`))}. Write 24 brick 1x4.`
            : pieces(total)}
        </p>
        <ActSelect
          label="Or take them from a modification"
          verb="Take them"
          none="or from a modification…"
          options={workbench.modifications.map((m) => ({ value: m.id, words: `${modNo(m.no)} ${m.title}` }))}
          onAct={(id) => {
            const entries = workbench.entries.filter((x) => x.modification === id);
            const sums = new Map<PartId, number>();
            for (const p of entries.flatMap(onPieces)) {
              const { part } = splitElementKey(p.element);
              sums.set(part, (sums.get(part) ?? 0) + p.qty);
            }
            setText([...sums].map(([part, n]) => `${n} ${part}`).join('\n'));
          }}
        />
        <Field label="Held against the scheme of">
          <Select
            value={zone ?? ''}
            onChange={(e) => setZone(audit.zones.find((z) => z.zone === e.target.value)?.zone ?? null)}
          >
            {audit.zones.map((z) => (
              <option key={z.zone} value={z.zone}>
                {workbench.records.zone.get(z.zone)?.name}
              </option>
            ))}
          </Select>
        </Field>
      </section>
      <section aria-label="Colours" className="min-h-0 overflow-auto p-4" tabIndex={0}>
        <h1 className="text-[21px] leading-tight">
          {total === 0
            ? 'Say which shapes the wall needs.'
            : best
              ? `${best.colour.name} is cheapest: ${count(best.atHand)} of ${pieces(total)} at hand, ${best.toBuy > 0 ? `${count(best.toBuy)} to buy for ${money(best.cost)}` : 'nothing to buy'}.`
              : 'No single colour was made in all of these shapes.'}
        </h1>
        <p className="text-soft mb-3">
          {count(whole.length)} of {report.colours.length} colours are available for all of it. Spares and own
          parts count as at hand.
        </p>
        {report.stripes.length > 0 && total > 0 && (
          <>
            <h2 className="mb-1">Stripes of two, from what is at hand</h2>
            <ul className="mb-4 grid max-w-3xl grid-cols-2 gap-2">
              {report.stripes.slice(0, 4).map((s) => (
                <li
                  key={`${s.main.id}${s.other.id}`}
                  className="border-rule flex items-center gap-3 rounded-md border p-2"
                >
                  <span aria-hidden className="grid h-10 w-14 grid-rows-4 overflow-hidden rounded-xs">
                    {[0, 1, 2, 3].map((i) => (
                      <span key={i} style={{ background: (i % 2 ? s.other : s.main).hex }} />
                    ))}
                  </span>
                  <span>
                    <b>
                      {s.main.name} and {s.other.name}
                    </b>
                    <span className="text-faint block text-[12px]">
                      {s.mainPieces} and {s.otherPieces} at hand,{' '}
                      {s.toBuy > 0 ? `${s.toBuy} to buy, ${money(s.cost)}` : 'nothing to buy'},{' '}
                      {differenceWords(s.deltaE)}
                    </span>
                  </span>
                </li>
              ))}
            </ul>
          </>
        )}
        {total > 0 && <OfferTable offers={report.colours} shape={shapes[0]} />}
      </section>
    </div>
  );
}

function OfferTable({ offers, shape }: { offers: readonly ColourOffer[]; shape: WantedShape | undefined }) {
  return (
    <table className="w-full max-w-4xl text-right">
      <caption className="sr-only">Every colour for these shapes</caption>
      <thead>
        <tr className="border-ink text-faint border-b text-[12px]">
          {['Colour', 'at hand', 'to buy', 'costs', 'off the scheme', 'never made'].map((h, i) => (
            <th key={h} scope="col" className={i === 0 ? 'py-1 text-left font-normal' : 'px-2 font-normal'}>
              {h}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {offers.map((o) => (
          <tr key={o.colour.id} className="border-rule border-b">
            <th scope="row" className="text-left font-medium">
              <span className="flex items-center gap-2">
                {shape && <Glyph element={elementKey(shape.part, o.colour.id)} size={30} />}
                {o.colour.name}
              </span>
            </th>
            <td className="px-2">
              {count(o.atHand)}
              {o.roughly > 0 && <span className="text-faint">, {count(o.roughly)} of them roughly</span>}
            </td>
            <td className="px-2">{count(o.toBuy)}</td>
            <td className="px-2">{priced(o.cost, o.unpriced)}</td>
            <td className="px-2">
              {o.offScheme === null ? '' : o.offScheme < 0.05 ? 'in it' : differenceWords(o.offScheme)}
            </td>
            <td className="px-2">{o.cannot.map((c) => `${c.qty} ${c.part}`).join(', ')}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** "24 brick 1x4" a line. What cannot be read is given back. */
function readShapes(text: string): { shapes: WantedShape[]; bad: string[] } {
  const sums = new Map<PartId, number>();
  const bad: string[] = [];
  for (const line of text
    .split('\n')
    .map((l) => l.trim())
    .filter(Boolean)) {
    const [, qty, name = ''] = /^(\d{1,5})(?: ?[x×])? (\S.*)$/.exec(line.replace(/\s+/g, ' ')) ?? [];
    const read = qty ? readPartName(name).part : undefined;
    if (!read?.read || !qty || Number(qty) === 0) bad.push(line);
    else sums.set(read.id, (sums.get(read.id) ?? 0) + Number(qty));
  }
  return { shapes: [...sums].map(([part, qty]) => ({ part, qty })), bad };
}
