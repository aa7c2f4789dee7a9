'use client';

import { useMemo } from 'react';
import {
  deleteConnection,
  holding,
  jobState,
  keepConnection,
  newConnection,
  planRemedy,
  remediesFor,
  type Remedy,
} from '@/core/fit';
import { HOLDS, STRESSES, type Connection } from '@/core/records';
import { Button } from '@/ui/button';
import { Field, Select } from '@/ui/field';
import { modNo } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { HOLDS_WORDS, holdingWords, remedyWords } from '../words/strength';
import { KeptSum } from './kept-sum';
import { NameField } from '../common/name-field';
import { NumberBox } from '../common/number-box';
import { ZoneSelect } from '../common/zone-select';

/** A place that holds by little: its studs against its lever, and what people do about it, planned by one press. */
export const ConnectionSum = () => (
  <KeptSum
    type="connection"
    title="What holds by little"
    label="Place"
    says="A balcony on two studs, a sign on a clip, a jib: whether it bears what hangs on it, and what would strengthen it."
    words="Note a place"
    make={(workbench, source) =>
      newConnection(workbench, workbench.zones[1]?.id ?? workbench.rootZone.id, source)
    }
    keep={keepConnection}
    remove={deleteConnection}
    form={(connection, onKeep) => <ConnectionForm connection={connection} onKeep={onKeep} />}
    answer={(connection) => (
      <>
        <p role="status">{holdingWords(holding(connection))}</p>
        <Remedies connection={connection} />
      </>
    )}
  />
);

interface FormProps {
  readonly connection: Connection;
  readonly onKeep: (more: Partial<Connection>) => void;
}

function ConnectionForm({ connection: c, onKeep }: FormProps) {
  return (
    <>
      <NameField label="Name" value={c.name} onKeep={(name) => onKeep({ name })} />
      <ZoneSelect label="Zone" zone={c.zone} onChange={(zone) => onKeep({ zone })} />
      <Field label="Holds by">
        <Select value={c.holds} onChange={(e) => onKeep({ holds: e.target.value as Connection['holds'] })}>
          {HOLDS.map((h) => (
            <option key={h} value={h}>
              {HOLDS_WORDS[h]}
            </option>
          ))}
        </Select>
      </Field>
      {c.holds === 'studs' && (
        <>
          <NumberBox
            label="Studs across"
            value={c.wide}
            least={1}
            most={200}
            onChange={(wide) => onKeep({ wide })}
          />
          <NumberBox
            label="Rows of them"
            value={c.rows}
            least={1}
            most={200}
            onChange={(rows) => onKeep({ rows })}
          />
        </>
      )}
      <NumberBox
        label="Lever, studs"
        value={c.lever}
        least={0}
        most={500}
        parts
        onChange={(lever) => onKeep({ lever })}
      />
      <NumberBox
        label="It carries, g"
        value={c.grams}
        least={0}
        most={100_000}
        parts
        onChange={(grams) => onKeep({ grams })}
      />
      <Field label="Stress seen">
        <Select
          value={c.stress ?? ''}
          onChange={(e) => onKeep({ stress: (e.target.value || null) as Connection['stress'] })}
        >
          <option value="">none</option>
          {STRESSES.map((s) => (
            <option key={s}>{s}</option>
          ))}
        </Select>
      </Field>
      <NameField
        label="Note"
        value={c.note}
        mayBeEmpty
        onKeep={(note) => onKeep({ note })}
        className="min-w-40 flex-1"
      />
    </>
  );
}

/** What would strengthen a place, each planned by one press; once it is planned, as which modification. */
function Remedies({ connection }: { connection: Connection }) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const { remedies, planned } = useMemo(() => {
    void version;
    const { modification } = connection;
    const state = modification && jobState(workbench, { planned: { modification } });
    const as =
      state === 'planned' || state === 'begun' ? workbench.records.modification.get(modification!) : null;
    return { remedies: remediesFor(workbench, connection), planned: as };
  }, [workbench, version, connection]);
  const plan = (r: Remedy) => perform(planRemedy(workbench, connection, r, source()).work);
  return (
    <>
      {connection.stress && (
        <p className="mt-1">
          ▲ Parts that are {connection.stress} crack or creep in time: take the stress off before it is
          strengthened.
        </p>
      )}
      {planned && (
        <p className="mt-1">
          To be strengthened as {modNo(planned.no)}, <bdi>{planned.title}</bdi>.
        </p>
      )}
      <ul className="mt-1">
        {remedies.map((r) => (
          <li key={r.does} className="border-rule flex flex-wrap items-center gap-2 border-b py-1">
            <span className="min-w-52 flex-1">{remedyWords(r)}</span>
            <Button
              aria-label={`Plan it: ${remedyWords(r)}`}
              onClick={() => plan(r)}
              disabled={planned !== null}
            >
              Plan it
            </Button>
          </li>
        ))}
      </ul>
    </>
  );
}
