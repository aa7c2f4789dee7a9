'use client';

import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { CardKind, Disc, PhotoReading } from '@/core/photo';
import { modelAccount } from '@/core/ledger';
import type { ZoneId } from '@/core/shared/ids';
import { keepReading, type Measured } from '@/core/fading';
import { Button, Key } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { readPhotoInWorker } from '@/workers/photo-client';
import { useBuild } from '../common/build-store';
import { madeByPhoto, photoFaultWords, photoWarningWords, readingProblemWords } from '../words/inspection';
import { LotChoice, type LotChoiceValue } from './lot-choice';
import { PhotoChoice } from './photo-choice';
import { PhotoMarking } from './photo-marking';
import { drawMarks, movedCross } from './photo-marks';
import { PhotoReadings } from './photo-readings';
import { lotsToRead } from './use-lots-to-read';

interface Spot extends Disc {
  readonly choice: LotChoiceValue;
}

const WIDTH = 560;

/** Reading colours from a photo beside a card: mark the card and the spots, by pointer or by keys. */
export function PhotoDialog({ zone, onClose }: { zone: ZoneId | null; onClose: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [file, setFile] = useState<Blob | null>(null);
  const [bitmap, setBitmap] = useState<ImageBitmap | null>(null);
  const [placing, setPlacing] = useState<'card' | 'spot'>('card');
  const [card, setCard] = useState<CardKind>('grey');
  const [radius, setRadius] = useState(24);
  const [cards, setCards] = useState<readonly Disc[]>([]);
  const [spots, setSpots] = useState<readonly Spot[]>([]);
  const [cross, setCross] = useState({ x: 0, y: 0 });
  const [reading, setReading] = useState<PhotoReading | null>(null);
  const [says, setSays] = useState('');
  const [busy, setBusy] = useState(false);
  const canvas = useRef<HTMLCanvasElement>(null);
  const [choice, setChoice] = useState<LotChoiceValue>(() => {
    const account = modelAccount(zone ?? workbench.zones[1]?.id ?? workbench.rootZone.id);
    const [lot] = lotsToRead(workbench, account);
    return { account, lot, qty: lot?.qty ?? 1 };
  });
  const scale = bitmap ? WIDTH / bitmap.width : 1;
  useEffect(() => {
    if (bitmap && canvas.current) drawMarks(canvas.current, bitmap, { cards, spots, cross, radius }, WIDTH);
  }, [bitmap, cards, spots, cross, radius]);
  const choose = async (chosen: Blob | undefined) => {
    if (!chosen) return;
    setReading(null);
    try {
      const next = await createImageBitmap(chosen);
      setFile(chosen);
      setBitmap(next);
      setCards([]);
      setSpots([]);
      setPlacing('card');
      setCross({ x: next.width / 2, y: next.height / 2 });
      setRadius(Math.max(6, Math.round(next.width / 40)));
      setSays('Mark the card, then the parts. Click, or move the cross with the arrows and press Enter.');
    } catch {
      setSays(`▲ ${photoFaultWords({ fault: 'not a picture' })}`);
    }
  };
  const place = (at: { x: number; y: number }) => {
    setReading(null);
    const disc = { x: at.x, y: at.y, radius };
    if (placing === 'card') {
      setCards([...cards, disc]);
      setPlacing('spot');
    } else setSpots([...spots, { ...disc, choice }]);
  };
  const onPointer = (e: PointerEvent<HTMLCanvasElement>) => {
    const box = e.currentTarget.getBoundingClientRect();
    const at = { x: (e.clientX - box.left) / scale, y: (e.clientY - box.top) / scale };
    setCross(at);
    place(at);
  };
  const onKey = (e: KeyboardEvent) => {
    if (!bitmap) return;
    const moved = movedCross(e, cross, bitmap, (e.shiftKey ? 40 : 8) / scale);
    if (moved) setCross(moved);
    else if (e.key === 'Enter') place(cross);
    else if (e.key === 'c') setPlacing('card');
    else if (e.key === 's') setPlacing('spot');
    else if (e.key === '+' || e.key === '-') setRadius(Math.max(4, radius * (e.key === '+' ? 1.2 : 1 / 1.2)));
    else if (e.key === 'Backspace') takeLast();
    else return;
    e.preventDefault();
  };
  const takeLast = () => {
    if (spots.length > 0) setSpots(spots.slice(0, -1));
    else setCards(cards.slice(0, -1));
    setReading(null);
  };
  const read = async () => {
    if (!file) return;
    setBusy(true);
    setSays('Reading the photo…');
    const done = await readPhotoInWorker(file, { cards, card, spots });
    setBusy(false);
    if (!done.ok) return setSays(`▲ ${photoFaultWords(done.reason)}`);
    setReading(done.value);
    const warnings = done.value.warnings.map(photoWarningWords).join(' ');
    setSays(warnings ? `▲ ${warnings}` : `Read in light of ${Math.round(done.value.kelvin)} K.`);
  };
  const keep = (i: number) => {
    const [spot, found] = [spots[i], reading?.spots[i]];
    if (!spot?.choice.lot || !found || !reading) return;
    const measured = measuredOf(spot.choice, found, reading);
    if (!measured) return;
    const kept = keepReading(workbench, measured, source());
    if (!kept.ok) return setSays(`▲ ${readingProblemWords(kept.reason)}`);
    perform(kept.value);
    setSays(`Kept as ${kept.value.batch}${measured.doubt ? `, not trusted: ${measured.doubt}.` : '.'}`);
  };
  return (
    <Dialog
      open
      onOpenChange={onClose}
      wide
      title="Read colours from a photo"
      says="The white or grey card shows the colour of the light, which is then undone. Glare, shadow and clipped pixels are left out."
    >
      <PhotoChoice onChoose={(photo) => void choose(photo)} />
      {bitmap && (
        <div className="grid gap-3 md:grid-cols-[560px_1fr]">
          <div>
            <canvas
              ref={canvas}
              width={WIDTH}
              height={Math.round(bitmap.height * scale)}
              tabIndex={0}
              role="application"
              aria-label={`The photo. Placing the ${placing === 'card' ? 'card' : 'next part'}. Arrows move the cross, Enter places, C card, S part, plus and minus the ring, Backspace takes the last away.`}
              onPointerDown={onPointer}
              onKeyDown={onKey}
              className="border-edge max-w-full cursor-crosshair border"
            />
            <p className="text-faint mt-1 text-[12px]">
              <Key>arrows</Key> cross · <Key>Enter</Key> place · <Key>C</Key> card · <Key>S</Key> part ·{' '}
              <Key>+</Key> <Key>-</Key> ring · <Key>Backspace</Key> last away
            </p>
          </div>
          <PhotoMarking
            placing={placing}
            onPlacing={setPlacing}
            placed={{ card: cards.length, spot: spots.length }}
            card={card}
            onCard={setCard}
            radius={radius}
            onRadius={setRadius}
          >
            <LotChoice value={choice} onChange={setChoice} compact />
            <Button
              look="main"
              disabled={busy || cards.length === 0 || spots.length === 0}
              onClick={() => void read()}
            >
              Read it
            </Button>
          </PhotoMarking>
        </div>
      )}
      <p role="status" aria-live="polite" className="my-2 min-h-6 font-medium">
        {says}
      </p>
      {reading && <PhotoReadings reading={reading} choices={spots.map((s) => s.choice)} onKeep={keep} />}
    </Dialog>
  );
}

/** A spot of a photo as a reading of the parts that it shows; doubted where the photo or the spot is. */
function measuredOf(
  { account, lot, qty }: LotChoiceValue,
  found: PhotoReading['spots'][number],
  reading: PhotoReading,
): Measured | null {
  if (!lot) return null;
  const warned = reading.warnings.map((w) => w.warns).join(', ');
  const doubt = found.doubt ?? (found.error > 1.5 ? 'not sure enough' : warned);
  return {
    account,
    qty,
    element: lot.element,
    grade: lot.grade,
    lab: found.lab,
    spread: found.error,
    count: Math.max(1, found.pixels),
    how: 'photo',
    made: madeByPhoto(reading),
    trusted: !doubt,
    doubt,
  };
}
