'use client';

import { useEffect, useState } from 'react';
import { Field, Input, Select } from '@/ui/field';
import { count } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { ask } from '../sending/answers';

interface OtherBuild {
  readonly id: string;
  readonly name: string;
}

interface BuildPickerProps {
  readonly label: string;
  readonly value: string;
  readonly onChoose: (id: string) => void;
  /** Builds that can't be chosen, besides the one that is open where it is left out. */
  readonly without?: readonly string[];
  /** True = the build that is open may be chosen too. */
  readonly withOwn?: boolean;
}

/** One of the workspace's builds: the newest at once, any other by some words of its name or set. */
export function BuildPicker({ label, value, onChoose, without = [], withOwn }: BuildPickerProps) {
  const own = useBuild((s) => s.workbench.build);
  const [find, setFind] = useState('');
  const { builds, found } = useBuilds(find);
  const shown = builds.filter((b) => !without.includes(b.id) && (withOwn || b.id !== own));
  return (
    <span className="flex flex-wrap items-end gap-2">
      {(found > builds.length || find !== '') && (
        <Field label="Find a build">
          <Input
            value={find}
            maxLength={200}
            placeholder={`${count(found)} in all`}
            onChange={(e) => setFind(e.target.value)}
            className="w-36"
          />
        </Field>
      )}
      <Field label={label}>
        <Select
          value={shown.some((b) => b.id === value) ? value : ''}
          onChange={(e) => onChoose(e.target.value)}
        >
          <option value="">{shown.length > 0 ? 'choose a build' : 'none is found'}</option>
          {shown.map((b) => (
            <option key={b.id} value={b.id}>
              {b.name}
            </option>
          ))}
        </Select>
      </Field>
    </span>
  );
}

const PAUSE_MS = 250;

/** Builds whose name or set holds some words, as many as a page has, and how many there are. */
function useBuilds(find: string): { readonly builds: readonly OtherBuild[]; readonly found: number } {
  const [answer, setAnswer] = useState<{ builds: readonly OtherBuild[]; found: number }>({
    builds: [],
    found: 0,
  });
  useEffect(() => {
    let there = true;
    const timer = window.setTimeout(
      () =>
        void ask<typeof answer>(`/api/builds?find=${encodeURIComponent(find)}`).then(
          (got) => got && there && setAnswer(got),
        ),
      find ? PAUSE_MS : 0,
    );
    return () => {
      there = false;
      window.clearTimeout(timer);
    };
  }, [find]);
  return answer;
}
