'use client';

import { formatDay } from '@/core/shared/forms';
import { useEffect, useState } from 'react';
import { deleteSpentTime, spendTime, timeByModification } from '@/core/brief';
import type { ModificationId } from '@/core/shared/ids';
import { Button } from '@/ui/button';
import { Field, Select } from '@/ui/field';
import { count, modNo } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { NameField } from '../common/name-field';
import { NumberBox } from '../common/number-box';
import { useToday } from '../common/use-today';
import { hoursWords } from '../words/brief';
import { FreshEyes } from './fresh-eyes';
import { useTimer } from './use-timer';

/** Days from the log, hours as typed or timed, waiting for parts beside them; put aside, and looked at again. */
export function TimeTab() {
  const workbench = useBuild((s) => s.workbench);
  useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const today = useToday();
  const rows = timeByModification(workbench, today);
  const spent = [...workbench.records.spentTime.values()].filter((t) => t.build === workbench.build);
  const minutes = rows.reduce((s, r) => s + r.minutes, 0);
  const nameOf = (id: ModificationId | null) => {
    const m = id && workbench.records.modification.get(id);
    return m ? `${modNo(m.no)} ${m.title}` : 'in no modification';
  };
  return (
    <div
      className="grid h-full content-start items-start gap-4 overflow-auto p-4 lg:grid-cols-2"
      tabIndex={0}
      role="region"
      aria-label="Time"
    >
      <section aria-label="By modification" className="border-rule bg-sheet rounded-lg border p-4">
        <h2 className="text-[16px]">
          {minutes > 0
            ? `${hoursWords(minutes)} in all`
            : 'No hours have been typed; days come from the log.'}
        </h2>
        <table className="w-full">
          <thead>
            <tr className="text-soft text-left text-[12px]">
              <th className="font-normal">Modification</th>
              <th className="text-right font-normal">Days</th>
              <th className="text-right font-normal">Hours</th>
              <th className="text-right font-normal">Days waited for parts</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((r) => (
              <tr key={r.modification ?? ''} className="border-rule border-b">
                <td className="py-1">
                  <bdi>{nameOf(r.modification)}</bdi>
                  <span className="text-faint block text-[12px]">
                    {r.first && (r.first === r.last ? r.first : `${r.first} to ${r.last}`)}
                  </span>
                </td>
                <td className="text-right">{count(r.days)}</td>
                <td className="text-right">{r.minutes > 0 ? hoursWords(r.minutes) : ''}</td>
                <td className="text-right">{r.waited > 0 ? count(r.waited) : ''}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <ul className="mt-3">
          {spent.map((t) => (
            <li key={t.id} className="border-rule flex items-center gap-2 border-b py-1">
              <span className="flex-1">
                {formatDay(t.on)}: {hoursWords(t.minutes)}, {nameOf(t.modification)} <bdi>{t.note}</bdi>
              </span>
              <Button
                look="bare"
                aria-label={`Delete ${hoursWords(t.minutes)} of ${formatDay(t.on)}`}
                onClick={() => perform(deleteSpentTime(t))}
              >
                Delete
              </Button>
            </li>
          ))}
        </ul>
        <TypeTime />
      </section>
      <FreshEyes />
    </div>
  );
}

/** Hours typed afterwards, or a timer for who wants one: it writes what it ran when it is stopped. */
function TypeTime() {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [modification, setModification] = useState<ModificationId | null>(null);
  const [minutes, setMinutes] = useState(60);
  const [note, setNote] = useState('');
  const [since, setSince] = useTimer(workbench.build);
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (since === null) return;
    const timer = window.setInterval(() => setNow(Date.now()), 1000);
    return () => window.clearInterval(timer);
  }, [since]);
  const keep = (n: number) => {
    perform(spendTime(workbench, { modification, minutes: n, note: note.slice(0, 120) }, source()));
    setNote('');
  };
  const ran = since === null ? 0 : Math.max(0, Math.floor((now - since) / 60_000));
  return (
    <div className="mt-3 flex flex-wrap items-end gap-2">
      <Field label="For">
        <Select
          value={modification ?? ''}
          onChange={(e) => setModification((e.target.value || null) as ModificationId | null)}
        >
          <option value="">no modification</option>
          {workbench.modifications.map((m) => (
            <option key={m.id} value={m.id}>
              {modNo(m.no)} {m.title}
            </option>
          ))}
        </Select>
      </Field>
      <NumberBox label="Minutes" value={minutes} least={1} most={100_000} onChange={setMinutes} />
      <NameField label="Note" value={note} mayBeEmpty onKeep={setNote} />
      <Button onClick={() => keep(minutes)}>Add the time</Button>
      {since === null ? (
        <Button
          onClick={() => {
            setSince(Date.now());
            setNow(Date.now());
          }}
        >
          Start a timer
        </Button>
      ) : (
        <Button
          look="main"
          onClick={() => {
            keep(Math.max(1, ran));
            setSince(null);
          }}
        >
          Stop: {count(ran)} {ran === 1 ? 'minute' : 'minutes'}
        </Button>
      )}
    </div>
  );
}
