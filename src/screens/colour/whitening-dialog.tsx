'use client';

import { readTyped } from '@/core/shared/decimal';
import { editNumber, formatDay, formatFixed, formatNumber } from '@/core/shared/forms';
import { useState } from 'react';
import { batchOf } from '@/core/ledger';
import { elementName } from '@/core/parts';
import {
  endWhitening,
  setWhiteningCost,
  startWhitening,
  whiteningCostOf,
  type ZoneFading,
} from '@/core/fading';
import { moneyToEdit, readMoney } from '@/core/shared/money';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Field, Input, Select } from '@/ui/field';
import { money } from '@/ui/numbers';
import { useBuild } from '../common/build-store';

/** Whitening on record: what the pieces read before and after, and how long it took; with the cautions beside it. */
export function WhiteningDialog({ zone, onClose }: { zone: ZoneFading; onClose: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const yellow = zone.batches.filter((b) => b.reading && b.parts.yellowing > 1);
  const [index, setIndex] = useState(Math.max(0, yellow.length - 1));
  const [note, setNote] = useState('');
  const batch = yellow[index];
  const begun = [...workbench.records.whitening.values()].sort((a, b) =>
    a.startedAt < b.startedAt ? 1 : -1,
  );
  return (
    <Dialog open onOpenChange={onClose} wide title="Whitening">
      <div className="border-ink mb-3 rounded-md border p-3" role="note">
        <h3>Before you begin</h3>
        <ul className="list-disc pl-5">
          <li>
            Hydrogen peroxide burns skin and eyes and bleaches cloth. Wear gloves and goggles; rinse spills at
            once.
          </li>
          <li>Work in good air. Never close a vessel tightly: gas builds up. No metal vessels.</li>
          <li>
            Ultraviolet light harms eyes and skin: cover the lamp, or use daylight behind glass with care.
          </li>
          <li>
            Do not heat it beyond what the label says. Keep it, and small parts, away from children and
            animals.
          </li>
          <li>Try one part first; prints, stickers, clear and metal parts stay out.</li>
          <li>
            <b>The product’s label and your local rules come first</b>, for use and for disposal.
          </li>
        </ul>
      </div>
      {batch ? (
        <form
          className="flex flex-wrap items-end gap-3"
          onSubmit={(e) => {
            e.preventDefault();
            perform(startWhitening(workbench, batch, batch.qty, note.trim(), source()));
            setNote('');
          }}
        >
          <Field label="Pieces, as they were read">
            <Select value={index} onChange={(e) => setIndex(Number(e.target.value))}>
              {yellow.map((b, i) => (
                <option key={`${b.element}${b.grade}`} value={i}>
                  {b.qty} {elementName(b.element)}, {batchOf(b.grade)}, ΔE {formatFixed(b.parts.deltaE)}
                </option>
              ))}
            </Select>
          </Field>
          <Field label="How: product, light, place" className="flex-1">
            <Input value={note} maxLength={400} onChange={(e) => setNote(e.target.value)} />
          </Field>
          <Button look="main" type="submit">
            It begins now
          </Button>
        </form>
      ) : (
        <p className="text-soft">Nothing that was read here is yellowed.</p>
      )}
      <WhiteningCosts />
      <h3 className="mt-4 mb-1">On record</h3>
      {begun.length === 0 && (
        <p className="text-soft">
          Nothing yet. When a whitening ends, read the pieces again: from then on Evarn calculates with what
          it really did.
        </p>
      )}
      <ul>
        {begun.map((w) => {
          const after = [...workbench.records.reading.values()].filter(
            (r) => r.element === w.element && r.at > w.startedAt && r.batch !== w.before,
          );
          return (
            <li key={w.id} className="border-rule flex min-h-10 flex-wrap items-center gap-3 border-b py-1">
              <span className="flex-1">
                {w.qty} {elementName(w.element)}, {w.before}
                {w.after && ` to ${w.after}`}{' '}
                <span className="text-faint">
                  {w.endedAt
                    ? `took ${hours(w.startedAt, w.endedAt)}`
                    : `begun ${formatDay(w.startedAt)}, ${w.startedAt.slice(11, 16)}`}
                  {w.note && ` · ${w.note}`}
                </span>
              </span>
              {!w.endedAt &&
                (after.length > 0 ? (
                  after.slice(-3).map((r) => (
                    <Button key={r.id} onClick={() => perform(endWhitening(w, r.batch, source()))}>
                      Ended, read as {r.batch}
                    </Button>
                  ))
                ) : (
                  <span className="text-soft">To end it, read the pieces again.</span>
                ))}
            </li>
          );
        })}
      </ul>
    </Dialog>
  );
}

/** What a bath takes, so that the option has a cost and a time. */
function WhiteningCosts() {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const said = whiteningCostOf(workbench);
  const [bath, setBath] = useState(said ? moneyToEdit(said.perBath) : '');
  const [each, setEach] = useState(String(said?.pieces ?? ''));
  const [time, setTime] = useState(said ? editNumber(said.hours) : '');
  const [perBath, piecesIn, hoursOf] = [readMoney(bath), readTyped(each), readTyped(time)];
  const ready =
    perBath !== undefined && Number.isInteger(piecesIn) && piecesIn >= 1 && hoursOf >= 0 && hoursOf <= 1000;
  return (
    <form
      className="mt-4 flex flex-wrap items-end gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        if (ready) perform(setWhiteningCost(workbench, { perBath, pieces: piecesIn, hours: hoursOf }));
      }}
    >
      <h3 className="w-full">What a bath takes</h3>
      <Field label="Peroxide and the like, a bath">
        <Input
          value={bath}
          placeholder={moneyToEdit(300)}
          onChange={(e) => setBath(e.target.value)}
          className="w-24"
        />
      </Field>
      <Field label="Pieces in a bath">
        <Input
          value={each}
          placeholder="30"
          inputMode="numeric"
          onChange={(e) => setEach(e.target.value)}
          className="w-20"
        />
      </Field>
      <Field label="Hours">
        <Input
          value={time}
          placeholder="12"
          inputMode="decimal"
          onChange={(e) => setTime(e.target.value)}
          className="w-20"
        />
      </Field>
      <Button type="submit" disabled={!ready}>
        {said ? 'Change it' : 'Set it'}
      </Button>
      {said && (
        <span className="text-soft" role="status">
          {money(said.perBath)} and {formatNumber(said.hours)} h for {said.pieces} pieces
        </span>
      )}
    </form>
  );
}

const hours = (from: string, to: string): string =>
  `${((Date.parse(to) - Date.parse(from)) / 3_600_000).toFixed(1)} h`;
