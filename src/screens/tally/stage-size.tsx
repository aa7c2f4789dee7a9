'use client';

import type { Stage } from '@/core/records';
import { changeStage } from '@/core/show';
import { useBuild } from '../common/build-store';
import { NumberBox } from '../common/number-box';

const SIDES = [
  ['length', 'Length, studs'],
  ['width', 'Width, studs'],
  ['height', 'Height, bricks'],
] as const;

/** The size of a stage, as far as it was measured then; a side of nothing is not known. */
export function StageSize({ stage }: { stage: Stage }) {
  const perform = useBuild((s) => s.perform);
  const size = stage.size ?? { length: 0, width: 0, height: 0 };
  const put = (side: keyof typeof size, n: number) => {
    const next = { ...size, [side]: n };
    const isNothing = Object.values(next).every((v) => v === 0);
    perform(changeStage(stage, { size: isNothing ? null : next }));
  };
  return SIDES.map(([side, label]) => (
    <NumberBox
      key={side}
      label={label}
      value={size[side]}
      least={0}
      most={10_000}
      parts
      onChange={(n) => put(side, n)}
    />
  ));
}
