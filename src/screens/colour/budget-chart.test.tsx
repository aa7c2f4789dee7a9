// @vitest-environment happy-dom
import { render } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { CurveStep } from '@/core/mismatch';
import { BudgetChart } from './budget-chart';

const WIDTH = 280;
const LETTER = 6;
/** What is written on the chart, and where its middle lies. */
let written: { text: string; x: number; y: number }[] = [];

/** A canvas that takes everything and keeps what is written on it. */
function paper(canvas: HTMLCanvasElement): CanvasRenderingContext2D {
  const at = { x: 0, y: 0 };
  const kept: { x: number; y: number }[] = [];
  const known: Record<string, unknown> = {
    canvas,
    measureText: (text: string) => ({ width: text.length * LETTER }),
    save: () => kept.push({ ...at }),
    restore: () => Object.assign(at, kept.pop()),
    translate: (x: number, y: number) => Object.assign(at, { x: at.x + x, y: at.y + y }),
    fillText: (text: string, x: number, y: number) => written.push({ text, x: at.x + x, y: at.y + y }),
  };
  return new Proxy(known, {
    get: (target, name) => (name in target ? target[name as string] : () => undefined),
    set: () => true,
  }) as unknown as CanvasRenderingContext2D;
}

beforeEach(() => {
  written = [];
  vi.spyOn(HTMLCanvasElement.prototype, 'getContext').mockImplementation(function (this: HTMLCanvasElement) {
    return paper(this) as never;
  });
  vi.spyOn(HTMLElement.prototype, 'clientWidth', 'get').mockReturnValue(WIDTH);
  vi.spyOn(HTMLElement.prototype, 'clientHeight', 'get').mockReturnValue(220);
  vi.spyOn(Element.prototype, 'getBoundingClientRect').mockReturnValue(new DOMRect(0, 0, WIDTH, 220));
});
afterEach(() => vi.restoreAllMocks());

const steps = (most: number): CurveStep[] =>
  Array.from({ length: 20 }, (_, i) => ({ cost: Math.round((most * i) / 19), value: i }));

describe('what money buys', () => {
  it.each([87, 430, 1030, 1084, 1097, 2310, 5555, 10_400, 12_345])(
    'writes no amount over another where all of it costs %i pence',
    (most) => {
      render(<BudgetChart steps={steps(most)} all={19} budget={most / 2} />);
      const amounts = written.filter((w) => w.text.includes('£')).sort((a, b) => a.x - b.x);
      expect(amounts.length).toBeGreaterThan(1);
      for (const [i, { text, x }] of amounts.slice(1).entries()) {
        const { text: before, x: left } = amounts[i]!;
        expect(x - left, `${before} and ${text}`).toBeGreaterThan(
          ((before.length + text.length) * LETTER) / 2,
        );
      }
    },
  );
});
