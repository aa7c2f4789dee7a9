'use client';

import { currencySign } from '@/core/shared/forms';
import { Link } from '@/ui/link';
import { useState } from 'react';
import { makeException, RULES, withdrawException, type Rule, type RuleNow } from '@/core/brief';
import type { Brief } from '@/core/records';
import { Button } from '@/ui/button';
import { Check, Field, Input } from '@/ui/field';
import { useBuild } from '../common/build-store';
import { NameField } from '../common/name-field';
import { NumberBox } from '../common/number-box';
import { ruleWords } from '../words/brief';

interface HouseRulesProps {
  readonly brief: Brief;
  readonly now: readonly RuleNow[];
  readonly onKeep: (more: Partial<Brief>) => void;
}

/** House rules: each a switch with a limit, how it stands, and an exception with its reason where it is broken. */
export function HouseRules({ brief, now, onKeep }: HouseRulesProps) {
  const put = (rule: Rule, setting: Brief['rules'][number] | null) =>
    onKeep({
      rules: [...brief.rules.filter((r) => r.rule !== rule.id), ...(setting ? [setting] : [])],
    });
  return (
    <div className="h-full overflow-auto p-4" tabIndex={0} role="region" aria-label="House rules">
      <p className="text-soft mb-2 max-w-prose">
        Modders differ on all of these, so none is on by itself. A line that would break one says so before
        Enter, and can be logged all the same.
      </p>
      <ul className="border-rule bg-sheet max-w-5xl rounded-lg border p-2">
        {RULES.map((rule) => (
          <RuleRow
            key={rule.id}
            rule={rule}
            now={now.find((n) => n.rule.id === rule.id) ?? null}
            onPut={(setting) => put(rule, setting)}
          />
        ))}
      </ul>
    </div>
  );
}

const UNITS = { pieces: 'pieces', studs: 'studs', parcels: 'parcels' } as const;
const unitOf = (asks: string): string =>
  asks === 'money' ? currencySign() : UNITS[asks as keyof typeof UNITS];
/** Limits that a rule begins with when it is switched on. */
const FIRST = {
  pieces: 500,
  money: 5000,
  studs: 32,
  parcels: 3,
  nothing: 0,
  colours: 0,
  day: 0,
  scale: 45,
} as const;

interface RowProps {
  readonly rule: Rule;
  readonly now: RuleNow | null;
  readonly onPut: (setting: Brief['rules'][number] | null) => void;
}

function RuleRow({ rule, now, onPut }: RowProps) {
  const setting = now?.setting;
  const isOff = !setting;
  return (
    <li className="border-rule flex flex-wrap items-end gap-3 border-b px-2 py-1.5 last:border-b-0">
      <div className="w-64">
        <Check
          words={rule.name}
          on={!isOff}
          onChange={(on) => onPut(on ? { rule: rule.id, limit: FIRST[rule.asks], text: '' } : null)}
        />
      </div>
      {setting && rule.asks === 'colours' && (
        <NameField
          label="Colours"
          value={setting.text}
          mayBeEmpty
          onKeep={(text) => onPut({ ...setting, text })}
        />
      )}
      {setting && rule.asks === 'day' && (
        <Field label={`${rule.name}: the day`}>
          <Input
            type="date"
            value={setting.text}
            onChange={(e) => onPut({ ...setting, text: e.target.value })}
          />
        </Field>
      )}
      {setting && rule.asks === 'scale' && (
        <>
          <NumberBox
            label={`${rule.name}: 1 to`}
            value={setting.limit}
            least={1}
            most={10_000}
            onChange={(limit) => onPut({ ...setting, limit })}
          />
          <NumberBox
            label={`${rule.name}: real length, m`}
            value={Number(setting.text) || 0}
            least={0}
            most={100_000}
            parts
            onChange={(m) => onPut({ ...setting, text: String(m) })}
          />
        </>
      )}
      {setting && !['colours', 'nothing', 'day', 'scale'].includes(rule.asks) && (
        <Limit rule={rule} limit={setting.limit} onLimit={(limit) => onPut({ ...setting, limit })} />
      )}
      {now && (
        <div className="min-w-56 flex-1 pb-1">
          <p role="status">{ruleWords(now)}</p>
          {now.state.holds === false && <WhatOfIt now={now} />}
        </div>
      )}
    </li>
  );
}

/** A limit in the unit of its rule: money is typed in whole units, and kept in pence. */
function Limit({ rule, limit, onLimit }: { rule: Rule; limit: number; onLimit: (limit: number) => void }) {
  const isMoney = rule.asks === 'money';
  return (
    <NumberBox
      label={`${rule.name}, ${unitOf(rule.asks ?? '')}`}
      value={isMoney ? limit / 100 : limit}
      least={0}
      most={1_000_000}
      parts={isMoney}
      onChange={(n) => onLimit(isMoney ? Math.round(n * 100) : n)}
    />
  );
}

/** Of a rule that is broken: the entries that break it, and the exception with its reason. */
function WhatOfIt({ now }: { now: RuleNow }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [reason, setReason] = useState('');
  const entries = now.state.breaks.slice(0, 5).flatMap((id) => workbench.records.entry.get(id) ?? []);
  return (
    <div className="flex flex-wrap items-end gap-2">
      {entries.length > 0 && (
        <Link href={`/builds/${workbench.build}`} className="underline">
          on the bench: {entries.map((e) => `#${e.no}`).join(', ')}
          {now.state.breaks.length > entries.length && ' and more'}
        </Link>
      )}
      {now.exception ? (
        <Button onClick={() => perform(withdrawException(now.exception!))}>Take the exception back</Button>
      ) : (
        <>
          <Field label={`Why ${now.rule.name.toLowerCase()} may be broken`}>
            <Input value={reason} maxLength={1000} onChange={(e) => setReason(e.target.value)} />
          </Field>
          <Button
            disabled={reason.trim() === ''}
            onClick={() => perform(makeException(workbench, now.rule, reason.trim(), source()))}
          >
            Make an exception
          </Button>
        </>
      )}
    </div>
  );
}
