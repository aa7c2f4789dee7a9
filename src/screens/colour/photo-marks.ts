import type { Disc } from '@/core/photo';

interface Marks {
  readonly cards: readonly Disc[];
  readonly spots: readonly Disc[];
  readonly cross: { readonly x: number; readonly y: number };
  readonly radius: number;
}

/** Draws a photo and its marks: cards as squares, parts as numbered rings, and the cross that the keys move. */
export function drawMarks(canvas: HTMLCanvasElement, photo: ImageBitmap, marks: Marks, width: number): void {
  const context = canvas.getContext('2d');
  if (!context) return;
  const scale = width / photo.width;
  context.drawImage(photo, 0, 0, width, photo.height * scale);
  // Twice, dark over light, so that a mark is seen on any colour.
  const stroke = (draw: () => void) => {
    for (const [colour, thick] of [
      ['#f4f4f4', 4],
      ['#161616', 1.5],
    ] as const) {
      context.strokeStyle = colour;
      context.lineWidth = thick;
      context.beginPath();
      draw();
      context.stroke();
    }
  };
  for (const c of marks.cards)
    stroke(() =>
      context.rect(
        (c.x - c.radius) * scale,
        (c.y - c.radius) * scale,
        2 * c.radius * scale,
        2 * c.radius * scale,
      ),
    );
  context.font = '600 12px "Hanken Grotesk Variable", sans-serif';
  marks.spots.forEach((s, i) => {
    stroke(() => context.arc(s.x * scale, s.y * scale, s.radius * scale, 0, 2 * Math.PI));
    context.lineWidth = 3;
    context.strokeStyle = '#f4f4f4';
    context.strokeText(`${i + 1}`, s.x * scale - 3, s.y * scale + 4);
    context.fillStyle = '#161616';
    context.fillText(`${i + 1}`, s.x * scale - 3, s.y * scale + 4);
  });
  const [x, y] = [marks.cross.x * scale, marks.cross.y * scale];
  stroke(() => {
    context.moveTo(x - 9, y);
    context.lineTo(x + 9, y);
    context.moveTo(x, y - 9);
    context.lineTo(x, y + 9);
  });
}

/** Where an arrow key moves the cross, inside of the picture; undefined for any other key. */
export function movedCross(
  { key }: { readonly key: string },
  cross: { readonly x: number; readonly y: number },
  within: { readonly width: number; readonly height: number },
  step: number,
): { x: number; y: number } | undefined {
  const by: Record<string, [number, number]> = {
    ArrowLeft: [-step, 0],
    ArrowRight: [step, 0],
    ArrowUp: [0, -step],
    ArrowDown: [0, step],
  };
  const move = by[key];
  return (
    move && {
      x: Math.max(0, Math.min(within.width - 1, cross.x + move[0])),
      y: Math.max(0, Math.min(within.height - 1, cross.y + move[1])),
    }
  );
}
