'use client';

import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { hexOfLab } from '@/core/colour';
import type { CardKind, Disc, PhotoReading } from '@/core/photo';
import { modelAccount } from '@/core/ledger';
import { elementName } from '@/core/parts';
import type { ZoneId } from '@/core/shared/ids';
import { keepReading } from '@/core/fading';
import { Button, Key } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Field, Input, Select } from '@/ui/field';
import { readPhotoInWorker } from '@/workers/photo-client';
import { useBuild } from '../common/build-store';
import {
  madeByPhoto,
  photoFaultWords,
  photoWarningWords,
  readingProblemWords,
  SPOT_DOUBTS,
} from '../words/inspection';
import { LotChoice, type LotChoiceValue } from './lot-choice';
import { drawMarks } from './photo-marks';
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
    const step = (e.shiftKey ? 40 : 8) / scale;
    const by: Record<string, [number, number]> = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, -step],
      ArrowDown: [0, step],
    };
    const move = by[e.key];
    if (move)
      setCross({
        x: Math.max(0, Math.min(bitmap.width - 1, cross.x + move[0])),
        y: Math.max(0, Math.min(bitmap.height - 1, cross.y + move[1])),
      });
    else if (e.key === 'Enter') place(cross);
    else if (e.key === 'c') setPlacing('card');
    else if (e.key === 's') setPlacing('spot');
    else if (e.key === '+' || e.key === '-') setRadius(Math.max(4, radius * (e.key === '+' ? 1.2 : 1 / 1.2)));
    else if (e.key === 'Backspace') {
      if (spots.length > 0) setSpots(spots.slice(0, -1));
      else setCards(cards.slice(0, -1));
      setReading(null);
    } else return;
    e.preventDefault();
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
    const warned = reading.warnings.map((w) => w.warns).join(', ');
    const doubt = found.doubt ?? (found.error > 1.5 ? 'not sure enough' : warned);
    const kept = keepReading(
      workbench,
      {
        account: spot.choice.account,
        qty: spot.choice.qty,
        element: spot.choice.lot.element,
        grade: spot.choice.lot.grade,
        lab: found.lab,
        spread: found.error,
        count: Math.max(1, found.pixels),
        how: 'photo',
        made: madeByPhoto(reading),
        trusted: !doubt,
        doubt,
      },
      source(),
    );
    if (!kept.ok) return setSays(`▲ ${readingProblemWords(kept.reason)}`);
    perform(kept.value);
    setSays(`Kept as ${kept.value.batch}${doubt ? `, not trusted: ${doubt}.` : '.'}`);
  };
  return (
    <Dialog
      open
      onOpenChange={onClose}
      wide
      title="Read colours from a photo"
      says="The white or grey card shows the colour of the light, which is then undone. Glare, shadow and clipped pixels are left out."
    >
      <div className="mb-2 flex flex-wrap items-end gap-3">
        <label
          className="border-edge flex min-h-9 flex-1 items-center gap-2 rounded-md border border-dashed px-3"
          onDragOver={(e) => e.preventDefault()}
          onDrop={(e) => {
            e.preventDefault();
            void choose(e.dataTransfer.files[0]);
          }}
        >
          Drop a photo here, or choose one:
          <input
            type="file"
            aria-label="Photo"
            accept="image/*"
            onChange={(e) => void choose(e.target.files?.[0])}
          />
        </label>
        <Button onClick={() => void fetch('/demo/hull.jpg').then(async (r) => choose(await r.blob()))}>
          Try the demo’s photo
        </Button>
      </div>
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
          <div className="flex flex-col gap-2">
            <div className="flex gap-1" role="group" aria-label="What is placed next">
              {(['card', 'spot'] as const).map((p) => (
                <Button
                  key={p}
                  look={placing === p ? 'main' : 'plain'}
                  aria-pressed={placing === p}
                  onClick={() => setPlacing(p)}
                >
                  {p === 'card' ? `card (${cards.length})` : `part (${spots.length})`}
                </Button>
              ))}
            </div>
            <Field label="Card">
              <Select value={card} onChange={(e) => setCard(e.target.value as CardKind)}>
                <option value="grey">grey, 18 %</option>
                <option value="white">white, 90 %</option>
              </Select>
            </Field>
            <Field label="Ring, pixels">
              <Input
                type="number"
                min={4}
                value={Math.round(radius)}
                onChange={(e) => setRadius(Math.max(4, Number(e.target.value) || 4))}
              />
            </Field>
            <LotChoice value={choice} onChange={setChoice} compact />
            <Button
              look="main"
              disabled={busy || cards.length === 0 || spots.length === 0}
              onClick={() => void read()}
            >
              Read it
            </Button>
          </div>
        </div>
      )}
      <p role="status" aria-live="polite" className="my-2 min-h-6 font-medium">
        {says}
      </p>
      {reading && (
        <ul>
          {reading.spots.map((s, i) => {
            const of = spots[i]?.choice;
            return (
              <li key={i} className="border-rule flex min-h-10 items-center gap-3 border-b">
                <span
                  aria-hidden
                  style={{ background: hexOfLab(s.lab) }}
                  className="border-edge size-7 rounded-xs border"
                />
                <span className="flex-1">
                  {i + 1}. L* {s.lab.l.toFixed(1)} a* {s.lab.a.toFixed(1)} b* {s.lab.b.toFixed(1)} ±{' '}
                  {s.error.toFixed(2)}, for {of?.qty} {of?.lot ? elementName(of.lot.element) : ''}
                  <span className="text-faint block text-[12px]">
                    {s.pixels} pixels; left out {percent(s.clipped)} clipped, {percent(s.glare)} glare,{' '}
                    {percent(s.shadow)} shadow
                    {s.doubt && ` · ▲ ${SPOT_DOUBTS[s.doubt]}`}
                  </span>
                </span>
                <Button onClick={() => keep(i)}>Keep</Button>
              </li>
            );
          })}
        </ul>
      )}
    </Dialog>
  );
}

const percent = (share: number): string => `${Math.round(100 * share)} %`;
