'use client';

import { useMemo } from 'react';
import { elementName } from '@/core/parts';
import type { AccountKey } from '@/core/ledger';
import { Field, Select } from '@/ui/field';
import { useBuild } from '../common/build-store';
import { lotsToRead, placesToRead, type LotToRead } from './use-lots-to-read';
import { NumberBox } from '../common/number-box';

export interface LotChoiceValue {
  readonly account: AccountKey;
  readonly lot: LotToRead | undefined;
  readonly qty: number;
}

/** Which pieces a reading is of: where they are, which lot, and how many look alike. */
export function LotChoice({
  value,
  onChange,
  compact,
}: {
  value: LotChoiceValue;
  onChange: (value: LotChoiceValue) => void;
  compact?: boolean;
}) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const lots = useMemo(() => {
    void version;
    return lotsToRead(workbench, value.account);
  }, [workbench, version, value.account]);
  const key = (l: LotToRead) => `${l.element} ${l.grade}`;
  const most = value.lot?.qty ?? 1;
  return (
    <div className={compact ? 'contents' : 'grid grid-cols-[1fr_2fr_auto] gap-3'}>
      <Field label="Where">
        <Select
          value={value.account}
          onChange={(e) => {
            const account = e.target.value as AccountKey;
            const [lot] = lotsToRead(workbench, account);
            onChange({ account, lot, qty: lot?.qty ?? 1 });
          }}
        >
          {placesToRead(workbench).map((p) => (
            <option key={p.account} value={p.account}>
              {p.name}
            </option>
          ))}
        </Select>
      </Field>
      <Field label="Which parts">
        <Select
          value={value.lot ? key(value.lot) : ''}
          onChange={(e) => {
            const lot = lots.find((l) => key(l) === e.target.value);
            onChange({ ...value, lot, qty: lot?.qty ?? 1 });
          }}
        >
          {lots.length === 0 && <option value="">nothing here</option>}
          {lots.map((l) => (
            <option key={key(l)} value={key(l)}>
              {l.qty} {elementName(l.element)} · {l.grade}
            </option>
          ))}
        </Select>
      </Field>
      <NumberBox
        label="How many look alike"
        least={1}
        most={most}
        value={value.qty}
        onChange={(qty) => onChange({ ...value, qty })}
        live
      />
    </div>
  );
}
