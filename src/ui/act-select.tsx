'use client';

import { useState } from 'react';
import clsx from 'clsx';
import { Button } from './button';
import { Select } from './field';

interface ActSelectProps {
  /** What the choice is of, for who does not see it. */
  readonly label: string;
  /** The word on the button: "Move". */
  readonly verb: string;
  /** The words while nothing is chosen. */
  readonly none: string;
  readonly options: readonly { readonly value: string; readonly words: string }[];
  readonly disabled?: boolean;
  readonly focused?: boolean;
  readonly className?: string;
  readonly onAct: (value: string) => void;
}

/**
 * A choice of what something is done to, and the button that does it. A list by itself never acts: its arrow keys choose, and
 * whoever walks through it with them has agreed to nothing.
 */
export function ActSelect({
  label,
  verb,
  none,
  options,
  disabled,
  focused,
  className,
  onAct,
}: ActSelectProps) {
  const [chosen, setChosen] = useState('');
  const isThere = options.some((o) => o.value === chosen);
  return (
    <span className={clsx('flex min-w-0 gap-1', className)}>
      <Select
        aria-label={label}
        autoFocus={focused}
        value={isThere ? chosen : ''}
        disabled={disabled}
        onChange={(e) => setChosen(e.target.value)}
        className="text-ink min-w-0 flex-1"
      >
        <option value="">{none}</option>
        {options.map((o) => (
          <option key={o.value} value={o.value}>
            {o.words}
          </option>
        ))}
      </Select>
      <Button
        disabled={disabled || !isThere}
        aria-label={`${verb}: ${label}`}
        className="text-ink"
        onClick={() => {
          setChosen('');
          onAct(chosen);
        }}
      >
        {verb}
      </Button>
    </span>
  );
}
