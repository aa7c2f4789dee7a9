'use client';

import { useState } from 'react';
import { LIST_FOR, partsForOthers, type ListFor } from '@/core/show';
import type { ModificationId } from '@/core/shared/ids';
import { Button } from '@/ui/button';
import { Check, Field, Select } from '@/ui/field';
import { modNo, piecesOfKinds } from '@/ui/numbers';
import { saveFile } from '@/ui/save-file';
import { useBuild } from '../common/build-store';

const FOR_WORDS: Readonly<Record<ListFor, string>> = {
  'all bought': 'buys all of it',
  'set owned': 'owns the set, and buys the rest',
};

/** The list of parts that others ask for: CSV, XLSX or JSON. */
export function PartsListForm({ planned }: { planned: boolean }) {
  const workbench = useBuild((s) => s.workbench);
  useBuild((s) => s.version);
  const [whom, setWhom] = useState<ListFor>('set owned');
  const [ideal, setIdeal] = useState(false);
  const [prices, setPrices] = useState(false);
  const [modification, setModification] = useState('');
  const rows = partsForOthers(workbench, {
    ...{ for: whom, planned, ideal },
    modification: (modification || null) as ModificationId | null,
  });
  const n = rows.reduce((s, r) => s + r.qty, 0);
  const save = (as: string) => {
    const asked = new URLSearchParams({
      ...{ as, for: whom, modification },
      planned: planned ? 'yes' : 'no',
      ideal: ideal ? 'yes' : 'no',
      prices: prices ? 'yes' : 'no',
    });
    saveFile(`/api/builds/${workbench.build}/parts-list?${asked}`);
  };
  return (
    <fieldset className="border-rule flex flex-col gap-2 border-t pt-3">
      <legend className="font-semibold">Parts list for others</legend>
      <Field label="For somebody who">
        <Select value={whom} onChange={(e) => setWhom(e.target.value as ListFor)}>
          {LIST_FOR.map((f) => (
            <option key={f} value={f}>
              {FOR_WORDS[f]}
            </option>
          ))}
        </Select>
      </Field>
      <Field label="Of">
        <Select value={modification} onChange={(e) => setModification(e.target.value)}>
          <option value="">the whole mod</option>
          {workbench.modifications.map((m) => (
            <option key={m.id} value={m.id}>
              {modNo(m.no)} {m.title}
            </option>
          ))}
        </Select>
      </Field>
      <Check words="with the parts one would rather have" on={ideal} onChange={setIdeal} />
      <Check words="with prices" on={prices} onChange={setPrices} />
      <p role="status">{n === 0 ? 'Nothing is needed.' : piecesOfKinds(n, rows.length)}</p>
      <span className="flex flex-wrap gap-2">
        {(['csv', 'xlsx', 'json'] as const).map((as) => (
          <Button key={as} disabled={n === 0} onClick={() => save(as)}>
            {as.toUpperCase()}
          </Button>
        ))}
      </span>
    </fieldset>
  );
}
