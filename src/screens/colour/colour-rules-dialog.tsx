'use client';

import { useState } from 'react';
import { forgetColourRule, learnColourRule, rulesOf, scopeWords, type Audit } from '@/core/mismatch';
import { partOf, splitElementKey } from '@/core/parts';
import type { ColourId, ZoneId } from '@/core/shared/ids';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Field, Select } from '@/ui/field';
import { usePalette } from '@/ui/palette-context';
import { useBuild } from '../common/build-store';

/** What was said of colours once and for all: learnt from mismatches, or a role that holds in all zones. */
export function ColourRulesDialog({ audit, onClose }: { audit: Audit; onClose: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const palette = usePalette();
  const zoneName = (id: ZoneId | null) => (id ? (workbench.records.zone.get(id)?.name ?? '') : '');
  const [family, setFamily] = useState('');
  const [zone, setZone] = useState('');
  const [to, setTo] = useState('');
  const rules = rulesOf(workbench);
  const families = [
    ...new Set(audit.zones.flatMap((z) => z.lots).map((l) => partOf(splitElementKey(l.element).part).family)),
  ];
  const groups = [...new Set(families.map((f) => f.group))].sort();
  const learn = () => {
    const scope = { zone: zone ? (zone as ZoneId) : null, family, colour: null };
    perform(learnColourRule(workbench, scope, to === '-' ? null : (to as ColourId), source()));
    setFamily('');
    setTo('');
  };
  return (
    <Dialog
      open
      onOpenChange={onClose}
      wide
      title="Rules for colours"
      says="A part that has its colour everywhere, such as floors or window frames, and what you said of colours that stood out. They come before any scheme."
    >
      <ul aria-label="Rules">
        {rules.map((r) => (
          <li key={r.id} className="border-rule flex min-h-9 items-center gap-3 border-b">
            <span className="flex-1">
              <bdi>{scopeWords(r, zoneName(r.zone))}</bdi>{' '}
              <b>{r.to === null ? 'is meant so' : `belongs in ${palette.get(r.to)?.name ?? r.to}`}</b>
            </span>
            <Button onClick={() => perform(forgetColourRule(workbench, r))}>Forget it</Button>
          </li>
        ))}
        {rules.length === 0 && <li className="text-soft">Nothing has been said yet.</li>}
      </ul>
      <form
        className="mt-4 flex flex-wrap items-end gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          if (family && to) learn();
        }}
      >
        <Field label="Parts">
          <Select value={family} onChange={(e) => setFamily(e.target.value)}>
            <option value="">Choose</option>
            {groups.map((g) => (
              <optgroup key={g} label={g}>
                <option value={g}>all {g.toLowerCase()}</option>
                {[...new Set(families.filter((f) => f.group === g).map((f) => f.name))].sort().map((f) => (
                  <option key={f} value={f}>
                    {f}
                  </option>
                ))}
              </optgroup>
            ))}
          </Select>
        </Field>
        <Field label="Where">
          <Select value={zone} onChange={(e) => setZone(e.target.value)}>
            <option value="">in all zones</option>
            {workbench.zones.map((z) => (
              <option key={z.id} value={z.id}>
                {z.name}
              </option>
            ))}
          </Select>
        </Field>
        <Field label="Belong in">
          <Select value={to} onChange={(e) => setTo(e.target.value)}>
            <option value="">Choose</option>
            <option value="-">are meant as they are</option>
            {[...palette.values()]
              .filter((c) => c.finish === 'solid')
              .map((c) => (
                <option key={c.id} value={c.id}>
                  {c.name}
                </option>
              ))}
          </Select>
        </Field>
        <Button type="submit" look="main" disabled={!family || !to}>
          Set the rule
        </Button>
      </form>
    </Dialog>
  );
}
