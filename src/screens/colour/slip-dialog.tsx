'use client';

import { useState } from 'react';
import {
  alternativesFor,
  leaveSlip,
  planInstead,
  planShapes,
  SEEN_SHARE,
  type Fix,
  type Register,
} from '@/core/audit';
import type { Command } from '@/core/bench';
import { elementKey, elementName, inColour, splitElementKey } from '@/core/parts';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Field, Input } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { pieces } from '@/ui/numbers';
import { useBench } from '../common/bench-store';
import { thisYear } from '../common/use-register';
import { madeWords, SLIP_WORDS, WEAKNESS_WORDS } from '../words/colour';
import { ExposureForm } from './exposure-form';

/** One slip: why it shows so much, whether its fix can be had, and what would do instead. */
export function SlipDialog({
  fix,
  register,
  onClose,
}: {
  fix: Fix;
  register: Register;
  onClose: () => void;
}) {
  const bench = useBench((s) => s.bench);
  const perform = useBench((s) => s.perform);
  const source = useBench((s) => s.source);
  const { slip } = fix;
  const [reason, setReason] = useState(slip.left?.reason ?? '');
  const { part, colour: wanted } = splitElementKey(slip.to);
  const alternatives = alternativesFor(slip.to, bench.palette, register, thisYear(), 4);
  const act = (command: Command) => {
    perform(command);
    onClose();
  };
  return (
    <Dialog
      open
      onOpenChange={onClose}
      wide
      title={`${slip.qty} ${elementName(slip.element)}: ${SLIP_WORDS[slip.kind]}`}
      says={`Belongs in ${wanted}, ${madeWords(fix.made, fix.availability)}.`}
    >
      <p className="mb-3">
        Shows <b>{slip.shows.toFixed(1)}</b> = {pieces(slip.qty)} × {SEEN_SHARE[slip.seen]} seen ({slip.seen})
        × ΔE00 {slip.deltaE.toFixed(1)}; {(100 * fix.share).toFixed(1)} % of all that shows here.
      </p>
      <ExposureForm zone={slip.zone} element={slip.element} seen={slip.seen} />
      <h3 className="mt-4 mb-1">
        {fix.canBeHad ? 'What else would do' : 'It cannot be had. What would do instead'}
      </h3>
      <ul>
        {alternatives.colours.map((a) => {
          const to = inColour(slip.element, a.colour.id);
          return (
            <li key={a.colour.id} className="border-rule flex min-h-10 items-center gap-3 border-b">
              <Glyph element={to} size={32} />
              <span className="flex-1">
                {elementName(to)}, the {a === alternatives.colours[0] ? 'nearest' : 'next'} colour it was made
                in: ΔE00 {a.deltaE.toFixed(1)} from {wanted}
                {a.availability === 'retired' && ', retired'}
              </span>
              <Button onClick={() => act(planInstead(bench, fix, to, source()))}>Plan it</Button>
            </li>
          );
        })}
        {alternatives.shapes.map((s) => {
          const parts = s.parts.map((p) => ({ element: elementKey(p.part.id, wanted), qty: p.qty }));
          return (
            <li
              key={parts.map((p) => p.element).join()}
              className="border-rule flex min-h-10 items-center gap-3 border-b"
            >
              {parts.map((p) => (
                <Glyph key={p.element} element={p.element} size={32} />
              ))}
              <span className="flex-1">
                {parts.map((p) => `${p.qty} ${elementName(p.element)}`).join(' and ')} in the room of each{' '}
                {part}; {WEAKNESS_WORDS[s.weakens]}
              </span>
              <Button onClick={() => act(planShapes(bench, fix, parts, source()))}>Plan it</Button>
            </li>
          );
        })}
        {alternatives.colours.length + alternatives.shapes.length === 0 && (
          <li className="text-soft py-2">
            Neither a near colour nor another shape was made. Hide it, or leave it.
          </li>
        )}
      </ul>
      <form
        className="mt-4 flex items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          if (reason.trim()) act(leaveSlip(bench, slip, reason.trim()));
        }}
      >
        <Field label="Leave it as it is, because" className="flex-1">
          <Input value={reason} maxLength={400} onChange={(e) => setReason(e.target.value)} />
        </Field>
        <Button type="submit" disabled={!reason.trim()}>
          Leave it
        </Button>
        {slip.left && <Button onClick={() => act(leaveSlip(bench, slip, ''))}>Take it up again</Button>}
      </form>
    </Dialog>
  );
}
