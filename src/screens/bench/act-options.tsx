'use client';

import { WHYS, type LoggedKind } from '@/core/ledger';
import { asId, type CopyId, type ZoneId } from '@/core/shared/ids';
import { Field, Input, Select } from '@/ui/field';
import type { Options } from './act-intent';
import { useBuild } from '../common/build-store';
import { NumberBox } from '../common/number-box';

/** The most pieces that one line can have. */
const MOST_PIECES = 100_000;

/** How many, where, from where, why: the trailing words of the log line as fields. */
export function OptionFields({
  kind,
  options: o,
  onChange,
}: {
  kind: LoggedKind;
  options: Options;
  onChange: (o: Options) => void;
}) {
  const { boxes } = useBuild((s) => s.workbench);
  const set = (change: Partial<Options>) => onChange({ ...o, ...change });
  const joins = !['remove', 'move', 'missing'].includes(kind);
  const leaves = !['add', 'replace-missing', 'placeholder', 'move', 'missing'].includes(kind);
  return (
    <div className="flex flex-wrap items-end gap-3">
      <NumberBox
        label={kind === 'swap' ? 'How many off' : 'How many'}
        least={1}
        most={MOST_PIECES}
        value={o.qty}
        onChange={(qty) => set({ qty })}
        live
      />
      {kind === 'swap' && (
        <NumberBox
          label="How many on"
          least={1}
          most={MOST_PIECES}
          value={o.onQty}
          onChange={(onQty) => set({ onQty })}
          live
        />
      )}
      <Field label={kind === 'move' ? 'From zone' : 'Zone'}>
        <ZoneSelect none="the modification’s" value={o.zone} onChange={(zone) => set({ zone })} />
      </Field>
      {kind === 'move' && (
        <Field label="To zone">
          <ZoneSelect none="choose…" value={o.toZone} onChange={(toZone) => set({ toZone })} />
        </Field>
      )}
      {joins && (
        <Field label="From">
          <Select
            value={o.source === 'donor' && o.boxes[0] ? `donor:${o.boxes[0]}` : (o.source ?? '')}
            onChange={(e) => {
              const [source, box] = e.target.value.split(':');
              set({ source: source as Options['source'], boxes: box ? [asId<CopyId>(box)] : [] });
            }}
          >
            <option value="">in the build’s order</option>
            <option value="spares">spares</option>
            <option value="donor">its boxes</option>
            {boxes.map((b) => (
              <option key={b.id} value={`donor:${b.id}`}>
                the box {b.setName}
              </option>
            ))}
            <option value="stock">own parts in trays</option>
            <option value="own">own, uncounted</option>
            <option value="order">an order</option>
            <option value="outside">bought</option>
          </Select>
        </Field>
      )}
      {leaves && (
        <Field label="The old ones go to">
          <Select
            value={o.destination ?? ''}
            onChange={(e) => set({ destination: e.target.value as Options['destination'] })}
          >
            <option value="">spares</option>
            <option value="stock">own parts in trays</option>
            <option value="own">own, uncounted</option>
            <option value="bin">bin</option>
          </Select>
        </Field>
      )}
      <Field label="Why">
        <Select value={o.why ?? ''} onChange={(e) => set({ why: e.target.value as Options['why'] })}>
          <option value="">not said</option>
          {WHYS.map((w) => (
            <option key={w}>{w}</option>
          ))}
        </Select>
      </Field>
      {joins && (
        <Field label="Price each">
          <Input
            value={o.price}
            placeholder="book"
            onChange={(e) => set({ price: e.target.value })}
            className="w-20"
          />
        </Field>
      )}
      <Field label="Note" className="min-w-40 flex-1">
        <Input value={o.note} maxLength={1000} onChange={(e) => set({ note: e.target.value })} />
      </Field>
      <label className="flex min-h-7 items-center gap-1.5">
        <input
          type="checkbox"
          className="size-4"
          checked={o.planned}
          onChange={(e) => set({ planned: e.target.checked })}
        />{' '}
        planned
      </label>
      <label className="flex min-h-7 items-center gap-1.5">
        <input
          type="checkbox"
          className="size-4"
          checked={o.hidden}
          onChange={(e) => set({ hidden: e.target.checked })}
        />{' '}
        hidden
      </label>
    </div>
  );
}

interface ZoneSelectProps {
  readonly none: string;
  readonly value: ZoneId | '';
  readonly onChange: (zone: ZoneId) => void;
}

function ZoneSelect({ none, value, onChange }: ZoneSelectProps) {
  const workbench = useBuild((s) => s.workbench);
  return (
    <Select value={value} onChange={(e) => onChange(e.target.value as ZoneId)} className="max-w-44">
      <option value="">{none}</option>
      {workbench.zones.map((z) => (
        <option key={z.id} value={z.id}>
          {z.name}
        </option>
      ))}
    </Select>
  );
}
