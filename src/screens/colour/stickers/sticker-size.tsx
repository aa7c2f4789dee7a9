'use client';

import type { Sticker, StickerSheet } from '@/core/records';
import { Field, Select } from '@/ui/field';
import { useBuild } from '../../common/build-store';
import { ColourSelect } from '../../common/colour-select';
import { LengthBox } from '../../common/length-box';

interface StickerSizeProps {
  readonly sticker: Sticker;
  readonly onKeep: (more: Partial<Sticker>) => void;
}

/** How large a sticker is, of which colour, from which sheet. */
export function StickerSize({ sticker, onKeep }: StickerSizeProps) {
  const sheets = useBuild((s) => s.workbench.records.stickerSheet);
  return (
    <div className="flex flex-wrap items-end gap-2">
      <LengthBox
        label="Width"
        value={sticker.w}
        least={0.1}
        most={2000}
        onChange={(w) => onKeep({ w })}
        onEmpty={() => onKeep({ w: null })}
      />
      <LengthBox
        label="Length"
        value={sticker.l}
        least={0.1}
        most={2000}
        onChange={(l) => onKeep({ l })}
        onEmpty={() => onKeep({ l: null })}
      />
      <div className="w-48">
        <ColourSelect
          label="Ground"
          value={sticker.colour}
          none="not known"
          onChange={(colour) => onKeep({ colour })}
        />
      </div>
      <Field label="From the sheet">
        <Select
          value={sticker.sheet ?? ''}
          onChange={(e) => onKeep({ sheet: (e.target.value || null) as StickerSheet['id'] | null })}
        >
          <option value="">none that is kept</option>
          {[...sheets.values()].map((s) => (
            <option key={s.id} value={s.id}>
              {s.name}
            </option>
          ))}
        </Select>
      </Field>
    </div>
  );
}
