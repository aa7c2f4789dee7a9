'use client';

import { formatFixed } from '@/core/shared/forms';
import { useEffect, useState } from 'react';
import type { CardKind, PhotoReading } from '@/core/photo';
import type { SheetField } from '@/core/records';
import { discsOf, type Mark } from '@/core/stickers';
import { readPhotoInWorker } from '@/workers/photo-client';
import { photoFaultWords, SPOT_DOUBTS } from '../../words/inspection';

interface FieldColour {
  readonly lab: SheetField['lab'];
  readonly says: string;
  readonly reading: boolean;
}

const NONE: FieldColour = { lab: null, says: '', reading: false };

/** A field's colour from its photo, once a card beside it is marked; a doubtful reading says why, and is taken all the same. */
export function useFieldColour(photo: string, marks: readonly Mark[], card: CardKind): FieldColour {
  const [found, setFound] = useState<{ readonly key: string; readonly colour: FieldColour } | null>(null);
  const discs = discsOf(marks);
  const key = discs?.card ? JSON.stringify([discs, card]) : '';
  useEffect(() => {
    if (!key) return;
    let there = true;
    const [asked, kind] = JSON.parse(key) as [NonNullable<ReturnType<typeof discsOf>>, CardKind];
    void read(photo, asked, kind).then((colour) => there && setFound({ key, colour }));
    return () => void (there = false);
  }, [photo, key]);
  if (!key) return NONE;
  return found?.key === key ? found.colour : { lab: null, says: 'Reading its colour…', reading: true };
}

async function read(
  photo: string,
  { field, card }: NonNullable<ReturnType<typeof discsOf>>,
  kind: CardKind,
): Promise<FieldColour> {
  try {
    const file = await (await fetch(`/api/photos/${photo}`)).blob();
    const done = await readPhotoInWorker(file, { cards: [card!], card: kind, spots: [field] });
    return done.ok ? ofReading(done.value) : { ...NONE, says: `▲ ${photoFaultWords(done.reason)}` };
  } catch {
    return { ...NONE, says: '▲ The photo could not be read.' };
  }
}

function ofReading({ spots: [spot] }: PhotoReading): FieldColour {
  if (!spot) return NONE;
  const [l, a, b] = [spot.lab.l, spot.lab.a, spot.lab.b].map((n) => Math.round(n * 10) / 10);
  const doubt = spot.doubt ? ` ▲ ${SPOT_DOUBTS[spot.doubt]}` : '';
  return {
    lab: { l: l!, a: a!, b: b! },
    says: `Its colour was read, to within ΔE ${formatFixed(spot.error)}.${doubt}`,
    reading: false,
  };
}
