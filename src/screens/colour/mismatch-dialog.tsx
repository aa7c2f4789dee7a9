'use client';

import { formatFixed, formatNumber } from '@/core/shared/forms';
import { useState } from 'react';
import {
  alternativesFor,
  leaveMismatch,
  planInstead,
  planShapes,
  SEEN_SHARE,
  type Fix,
  type Register,
} from '@/core/mismatch';
import type { Command } from '@/core/ledger';
import { elementKey, elementName, inColour, splitElementKey } from '@/core/parts';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Field, Input } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { pieces } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { thisYear } from '../common/use-register';
import { evidenceWords, madeWords, MISMATCH_WORDS, WEAKNESS_WORDS, differenceWords } from '../words/colour';
import { ExposureForm } from './exposure-form';

/** One mismatch: why it shows so much, whether its fix is available, and what would do instead. */
export function MismatchDialog({
  fix,
  register,
  onClose,
}: {
  fix: Fix;
  register: Register;
  onClose: () => void;
}) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const { mismatch } = fix;
  const [reason, setReason] = useState(mismatch.left?.reason ?? '');
  const { part, colour: wanted } = splitElementKey(mismatch.to);
  const alternatives = alternativesFor(
    mismatch.to,
    workbench.palette,
    register,
    thisYear(),
    4,
    mismatch.element,
  );
  const act = (command: Command) => {
    perform(command);
    onClose();
  };
  return (
    <Dialog
      open
      onOpenChange={onClose}
      wide
      beside
      title={`${mismatch.qty} ${elementName(mismatch.element)}: ${MISMATCH_WORDS[mismatch.kind]}`}
      says={`Belongs in ${wanted}, ${madeWords(fix.made, fix.availability)}.`}
    >
      <p className="mb-3">
        Visible <b>{formatFixed(mismatch.shows)}</b> = {pieces(mismatch.qty)} ×{' '}
        {formatNumber(SEEN_SHARE[mismatch.seen])} seen ({mismatch.seen}) × ΔE {formatFixed(mismatch.deltaE)};{' '}
        {formatFixed(100 * fix.share)} % of all that is visible here.
      </p>
      <p className="mb-3">{evidenceWords(mismatch, workbench.records.zone.get(mismatch.zone)?.name ?? '')}</p>
      <ExposureForm zone={mismatch.zone} element={mismatch.element} seen={mismatch.seen} />
      <h3 className="mt-4 mb-1">
        {fix.canBeHad ? 'What else would do' : 'It is not available. What would do instead'}
      </h3>
      <ul>
        {alternatives.colours.map((a) => {
          const to = inColour(mismatch.element, a.colour.id);
          return (
            <li key={a.colour.id} className="border-rule flex min-h-10 items-center gap-3 border-b">
              <Glyph element={to} size={32} />
              <span className="flex-1">
                {elementName(to)}, the {a === alternatives.colours[0] ? 'nearest' : 'next'} colour it was made
                in: {differenceWords(a.deltaE)} from {wanted}
                {a.availability === 'retired' && ', retired'}
              </span>
              <Button onClick={() => act(planInstead(workbench, fix, to, source()))}>Plan it</Button>
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
              <Button onClick={() => act(planShapes(workbench, fix, parts, source()))}>Plan it</Button>
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
          if (reason.trim()) act(leaveMismatch(workbench, mismatch, reason.trim()));
        }}
      >
        <Field label="Leave it as it is, because" className="flex-1">
          <Input value={reason} maxLength={400} onChange={(e) => setReason(e.target.value)} />
        </Field>
        <Button type="submit" disabled={!reason.trim()}>
          Leave it
        </Button>
        {mismatch.left && (
          <Button onClick={() => act(leaveMismatch(workbench, mismatch, ''))}>Take it up again</Button>
        )}
      </form>
    </Dialog>
  );
}
