'use client';

import { printDoors, readDoors, readHeight, readStoreys } from '@/core/fit';
import type { Plot } from '@/core/records';
import { fail, ok } from '@/core/shared/result';
import { TypedField } from './typed-field';

type Front = Pick<Plot, 'storeys' | 'kerb' | 'cornices' | 'doors'>;

interface FrontFormProps {
  /** Put before the labels of its fields: whose they are. */
  readonly of: string;
  readonly front: Front;
  readonly onKeep: (more: Partial<Front>) => void;
}

/** What the street sees of a house: storeys, cornices, kerb and doors, each typed in one field. */
export const FrontForm = ({ of, front, onKeep }: FrontFormProps) => (
  <div className="grid gap-x-3 sm:grid-cols-2">
    <TypedField
      label={`${of}storeys, plates from the ground`}
      value={front.storeys.join(', ')}
      read={readStoreys}
      onRead={(storeys) => onKeep({ storeys })}
      sayFault={storeyFault}
    />
    <TypedField
      label={`${of}cornices, plates`}
      value={front.cornices.join(', ')}
      read={readStoreys}
      onRead={(cornices) => onKeep({ cornices })}
      sayFault={storeyFault}
    />
    <TypedField
      label={`${of}kerb, plates`}
      value={front.kerb === null ? '' : `${front.kerb}`}
      read={readKerb}
      onRead={(kerb) => onKeep({ kerb })}
      sayFault={storeyFault}
    />
    <TypedField
      label={`${of}doors: name, stud, up`}
      value={printDoors(front.doors)}
      read={readDoors}
      onRead={(doors) => onKeep({ doors })}
      sayFault={(t) => `“${t}” is no door. Write its name, its stud from the left, its sill: front 4 up 5`}
    />
  </div>
);

const storeyFault = (t: string): string =>
  `“${t}” is no height. Write plates from the ground, or bricks with a b: 2, 10b, 62`;

/** A kerb as it is typed: nothing where none is said. */
function readKerb(text: string) {
  if (!text.trim()) return ok(null);
  const plates = readHeight(text);
  return plates === undefined || plates > 300 ? fail(text) : ok(plates);
}
