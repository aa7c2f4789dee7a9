'use client';

import { memo, useId } from 'react';
import type { Colour } from '@/core/colour';
import {
  drawn,
  drawPart,
  elementName,
  paintPart,
  partOf,
  splitElementKey,
  type Drawing,
  type ElementKey,
} from '@/core/parts';
import { inkOn } from '@/core/colour';
import { usePalette } from './palette-context';

/** How a part is marked: shapes, not hues. Dashed = out, solid = in, split = recoloured, ring, hatch, arrow, dot. */
export type GlyphMark =
  'in' | 'out' | 'recoloured' | 'renewed' | 'placeholder' | 'moved' | 'hidden' | 'sticker';

interface GlyphProps {
  readonly element: ElementKey;
  readonly mark?: GlyphMark;
  /** For `recoloured`: the element it was. */
  readonly was?: ElementKey;
  /** Pixels of the square box the part is drawn in. Parts keep one scale in it; only large ones shrink to fit. */
  readonly size?: number;
  /** Said by a screen reader; leave it out where the name stands beside the drawing. */
  readonly label?: string;
}

const PIXELS_PER_STUD = 10;

/** A part drawn as a small solid in its true colour. */
export const Glyph = memo(function Glyph({ element, mark = 'in', was, size = 38, label }: GlyphProps) {
  const palette = usePalette();
  const id = useId();
  const { part, colour, print } = splitElementKey(element);
  const drawing = drawPart(partOf(part));
  const [x, y, w, h] = drawing.box;
  const scale = Math.min((size - 4) / w, (size - 4) / h, (PIXELS_PER_STUD * size) / 38);
  const box = size / scale;
  const view = [x + w / 2 - box / 2, y + h / 2 - box / 2, box, box].map(drawn).join(' ');
  const said = label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true };
  const stroke = drawn(1 / scale);
  const before = was ? splitElementKey(was) : undefined;
  return (
    <svg width={size} height={size} viewBox={view} className="shrink-0 overflow-visible" {...said}>
      {mark === 'out' ? (
        <Outline drawing={drawing} stroke={stroke} />
      ) : (
        <Solid drawing={drawing} colour={palette.get(colour)} stroke={stroke} />
      )}
      {mark === 'recoloured' && before && (
        <Half id={id} drawing={drawing} colour={palette.get(before.colour)} stroke={stroke} />
      )}
      {print && mark !== 'out' && (
        <path
          d={drawing.printMark}
          fill="none"
          stroke={inkOn(palette.get(colour))}
          strokeWidth={drawn(1.4 * stroke)}
        />
      )}
      {mark === 'placeholder' && <Hatch id={id} drawing={drawing} stroke={stroke} />}
      {(mark === 'renewed' || mark === 'moved' || mark === 'hidden') && (
        <Badge mark={mark} cx={x + w / 2 + box / 2} cy={y + h / 2 - box / 2} unit={stroke} />
      )}
    </svg>
  );
});

/** Studs to a pixel from which the sides of a stud are less than half a pixel: of a plate 16x16 they only weigh, 40 kB. */
const SMALL = 0.33;

/** A drawing whose studs are seen from above alone. */
const withoutSides = (drawing: Drawing): Drawing => ({
  ...drawing,
  faces: drawing.faces.filter((f) => !f.stud || f.light > 1),
});

function Solid({
  drawing,
  colour,
  stroke,
}: {
  drawing: Drawing;
  colour: Colour | undefined;
  stroke: number;
}) {
  const { faces, edge, opacity } = paintPart(stroke > SMALL ? withoutSides(drawing) : drawing, colour);
  return (
    <g strokeLinejoin="round" stroke={edge} strokeWidth={drawn(0.8 * stroke)} fillOpacity={opacity}>
      {faces.map((f, i) => (
        <path
          key={i}
          d={f.d}
          fill={f.fill}
          strokeWidth={f.stud && drawing.studs > 20 ? drawn((16 * stroke) / drawing.studs) : undefined}
        />
      ))}
    </g>
  );
}

function Outline({ drawing, stroke }: { drawing: Drawing; stroke: number }) {
  return (
    <g
      fill="none"
      stroke="currentColor"
      strokeWidth={drawn(1.1 * stroke)}
      strokeDasharray={`${drawn(2.6 * stroke)} ${drawn(1.9 * stroke)}`}
    >
      {drawing.faces.map((f, i) => (
        <path key={i} d={f.d} />
      ))}
    </g>
  );
}

/** The left half in the colour it was. */
function Half({
  id,
  drawing,
  colour,
  stroke,
}: {
  id: string;
  drawing: Drawing;
  colour: Colour | undefined;
  stroke: number;
}) {
  const [x, y, w, h] = drawing.box;
  const [from, to] = [drawn(x + w * 0.38), drawn(x + w * 0.62)];
  const [left, top, bottom] = [drawn(x), drawn(y), drawn(y + h)];
  const cut = `M${left} ${top}H${to}L${from} ${bottom}H${left}Z`;
  return (
    <>
      <clipPath id={`${id}c`}>
        <path d={cut} />
      </clipPath>
      <g clipPath={`url(#${id}c)`}>
        <Solid drawing={drawing} colour={colour} stroke={stroke} />
      </g>
      <path d={`M${to} ${top}L${from} ${bottom}`} stroke="currentColor" strokeWidth={stroke} />
    </>
  );
}

function Hatch({ id, drawing, stroke }: { id: string; drawing: Drawing; stroke: number }) {
  const gap = drawn(4 * stroke);
  return (
    <>
      <pattern
        id={`${id}h`}
        width={gap}
        height={gap}
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <path d={`M0 0V${gap}`} stroke="#161616" strokeWidth={drawn(1.5 * stroke)} />
      </pattern>
      {drawing.faces.map((f, i) => (
        <path key={i} d={f.d} fill={`url(#${id}h)`} fillOpacity={0.75} />
      ))}
    </>
  );
}

function Badge({
  mark,
  cx,
  cy,
  unit,
}: {
  mark: 'renewed' | 'moved' | 'hidden';
  cx: number;
  cy: number;
  unit: number;
}) {
  const r = drawn(5 * unit);
  const [x, y] = [drawn(cx - r - unit), drawn(cy + r + unit)];
  return (
    <g fill="none" stroke="currentColor" strokeWidth={drawn(1.5 * unit)}>
      {mark !== 'moved' && <circle cx={x} cy={y} r={drawn(r * 0.85)} />}
      {mark === 'hidden' && <circle cx={x} cy={y} r={drawn(r * 0.25)} fill="currentColor" />}
      {mark === 'moved' && (
        <path
          d={`M${drawn(x - r)} ${y}H${drawn(x + r)}m${drawn(-0.7 * r)} ${drawn(-0.6 * r)}l${drawn(0.7 * r)} ${drawn(0.6 * r)}l${drawn(-0.7 * r)} ${drawn(0.6 * r)}`}
        />
      )}
    </g>
  );
}

/** A glyph with its count beside it, as in lists of lots. */
export function LotGlyph({ element, qty, mark, was, size = 34 }: GlyphProps & { qty: number }) {
  return (
    <span className="inline-flex items-center gap-1" title={`${qty} × ${elementName(element)}`}>
      <Glyph element={element} mark={mark} was={was} size={size} label={`${qty} ${elementName(element)}`} />
      <span className="text-soft text-[12px]">{qty}</span>
    </span>
  );
}
