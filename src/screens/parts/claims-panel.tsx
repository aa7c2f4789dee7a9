'use client';

import { useState } from 'react';
import type { ParcelClaim } from '@/core/ledger';
import { answerClaim, askClaim, claimsOfBuild, closeClaim, refundClaim, sendAgain } from '@/core/orders';
import { elementName } from '@/core/parts';
import { moneyToEdit, readMoney } from '@/core/shared/money';
import { Button } from '@/ui/button';
import { Field, Input } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { count, money } from '@/ui/numbers';
import { useBuild } from '../common/build-store';

const KIND_WORDS = { short: 'not in the parcel', wrong: 'wrong', damaged: 'damaged' } as const;

/** What was short, wrong or damaged, with what was asked and answered, until it is refunded, sent again or closed. */
export function ClaimsPanel({ today }: { today: string }) {
  const workbench = useBuild((s) => s.workbench);
  useBuild((s) => s.version);
  const claims = claimsOfBuild(workbench);
  if (claims.length === 0) return null;
  const open = claims.filter((c) => c.end === null);
  const asked = open.filter((c) => c.askedAt !== null).length;
  return (
    <section aria-label="Claims" className="mt-6">
      <h2 className="mb-1 text-[16px]">
        {open.length === 0
          ? 'No claim is open.'
          : `${count(open.length)} ${open.length === 1 ? 'claim is' : 'claims are'} open, ${count(asked)} of them asked.`}
      </h2>
      <ul>
        {claims.map((c) => (
          <ClaimRow key={c.id} claim={c} today={today} />
        ))}
      </ul>
    </section>
  );
}

function ClaimRow({ claim, today }: { claim: ParcelClaim; today: string }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const order = workbench.records.order.get(claim.order);
  const name = `${count(claim.qty)} ${elementName(claim.element)}`;
  const end =
    claim.end === 'refunded'
      ? `${money(claim.refund)} refunded`
      : claim.end === 'sent again'
        ? 'sent again'
        : claim.end === 'closed'
          ? 'closed'
          : claim.askedAt
            ? `asked on ${claim.askedAt}`
            : 'not asked yet';
  return (
    <li className="border-rule border-b py-2">
      <div className="flex flex-wrap items-center gap-3">
        <Glyph element={claim.element} size={30} label="" />
        <span className="min-w-56 flex-1">
          <b>{name}</b> {KIND_WORDS[claim.kind]}, <bdi>{order?.seller}</bdi>
          <span className="text-faint">
            {' '}
            found {claim.foundAt} · {end}
            {claim.end !== null && claim.answer && (
              <>
                {' '}
                · “<bdi>{claim.answer}</bdi>”
              </>
            )}
          </span>
        </span>
        {claim.end === null && (
          <span role="group" aria-label={`Claim about ${name}`} className="flex flex-wrap items-end gap-2">
            {claim.askedAt === null && (
              <Button onClick={() => perform(askClaim(claim, today))}>Asked today</Button>
            )}
            <Answer claim={claim} />
            <Refund claim={claim} />
            <Button onClick={() => perform(sendAgain(workbench, claim, source()))}>Sent again</Button>
            <Button look="bare" onClick={() => perform(closeClaim(claim))}>
              Close
            </Button>
          </span>
        )}
      </div>
    </li>
  );
}

/** The seller's answer, kept when the field is left. */
function Answer({ claim }: { claim: ParcelClaim }) {
  const perform = useBuild((s) => s.perform);
  const [text, setText] = useState(claim.answer);
  const keep = () => {
    if (text.trim() !== claim.answer) perform(answerClaim(claim, text.trim()));
  };
  return (
    <Field label="Answered">
      <Input
        value={text}
        maxLength={1000}
        onChange={(e) => setText(e.target.value)}
        onBlur={keep}
        className="w-44"
      />
    </Field>
  );
}

/** What came back for it: proposed is what the pieces cost. */
function Refund({ claim }: { claim: ParcelClaim }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const paid = workbench.entries
    .filter((e) => e.kind === 'order' && e.order === claim.order)
    .flatMap((e) => e.movements)
    .find((m) => m.element === claim.element && m.grade === claim.grade)?.worth;
  const [text, setText] = useState(paid ? moneyToEdit(paid * claim.qty) : '');
  const amount = text.trim() ? readMoney(text) : undefined;
  return (
    <span className="flex items-end gap-1">
      <Field label="Refund">
        <Input
          value={text}
          placeholder="0.00"
          aria-invalid={text.trim() !== '' && amount === undefined}
          onChange={(e) => setText(e.target.value)}
          className="w-20"
        />
      </Field>
      <Button
        disabled={amount === undefined}
        onClick={() => amount !== undefined && perform(refundClaim(workbench, claim, amount))}
      >
        Refunded
      </Button>
    </span>
  );
}
