'use client';

import type { ColourId } from '@/core/shared/ids';
import { Field, Select } from '@/ui/field';
import { usePalette } from '@/ui/palette-context';

interface ColourSelectProps<N extends ColourId | null> {
  readonly label: string;
  readonly value: N;
  /** The words for no colour, where that is a choice. */
  readonly none?: string;
  readonly onChange: (colour: N) => void;
}

/** A solid colour of the palette, by its name and plain family, with a swatch. */
export function ColourSelect<N extends ColourId | null>({
  label,
  value,
  none,
  onChange,
}: ColourSelectProps<N>) {
  const palette = usePalette();
  return (
    <div className="flex min-w-0 flex-1 items-end gap-2">
      <span
        aria-hidden
        style={{ background: value ? palette.get(value)?.hex : 'transparent' }}
        className="border-edge mb-1 size-5 shrink-0 rounded-xs border"
      />
      <Field label={label} className="min-w-0 flex-1">
        <Select value={value ?? ''} onChange={(e) => onChange((e.target.value || null) as N)}>
          {none !== undefined && <option value="">{none}</option>}
          {[...palette.values()]
            .filter((c) => c.finish === 'solid')
            .map((c) => (
              <option key={c.id} value={c.id}>
                {c.name}, {c.family}
              </option>
            ))}
        </Select>
      </Field>
    </div>
  );
}
