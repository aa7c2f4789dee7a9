// @vitest-environment happy-dom
import { cleanup, render, type RenderResult } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { OpensInPlace, useInSight } from './in-sight';

/** A list that shows 200 px, from 50 px below the top of the window, of rows that are 60 px tall. */
const LIST = { top: 50, height: 200 };
const ROW = 60;

let page: RenderResult | null;
let moved: Element[];
beforeEach(() => {
  page = null;
  moved = [];
  vi.spyOn(Element.prototype, 'scrollIntoView').mockImplementation(function (this: Element) {
    moved.push(this);
  });
  vi.spyOn(Element.prototype, 'scrollHeight', 'get').mockReturnValue(600);
  vi.spyOn(HTMLElement.prototype, 'clientHeight', 'get').mockReturnValue(LIST.height);
  vi.spyOn(Element.prototype, 'getBoundingClientRect').mockImplementation(function (this: Element) {
    const row = this.getAttribute('data-row');
    const list = document.getElementById('list')!;
    return row === null
      ? new DOMRect(0, LIST.top, 300, LIST.height)
      : new DOMRect(0, LIST.top + Number(row) * ROW - list.scrollTop, 300, ROW);
  });
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

function Row({ at, chosen }: { at: number; chosen: boolean }) {
  const ref = useInSight<HTMLDivElement>(chosen);
  return <div ref={ref} data-row={at} style={{ scrollMarginTop: '10px', scrollMarginBottom: '10px' }} />;
}

function draw(chosen: number | null, overflowY: 'auto' | 'visible' = 'auto', rows = 10) {
  const list = (
    <div id="list" style={{ overflowY }}>
      {Array.from({ length: rows }, (_, at) => (
        <Row key={at} at={at} chosen={at === chosen} />
      ))}
    </div>
  );
  const whole = <OpensInPlace>{list}</OpensInPlace>;
  if (page) page.rerender(whole);
  else page = render(whole);
}

const scrolled = () => document.getElementById('list')!.scrollTop;

describe('what is chosen as a page opens', () => {
  it('is in sight in its list, by no more than it takes, and the page stays where it is', () => {
    draw(5);
    // Its 60 px and the margin below end where the list does.
    expect(scrolled()).toBe(5 * ROW + ROW + 10 - LIST.height);
    expect(moved).toEqual([]);
  });

  it('moves nothing where it shows already', () => {
    draw(1);
    expect(scrolled()).toBe(0);
  });

  it('moves nothing where nothing but the page scrolls', () => {
    draw(5, 'visible');
    expect([scrolled(), moved]).toEqual([0, []]);
  });
});

it('what is chosen later comes into sight wherever it is', () => {
  draw(null);
  draw(7);
  expect(moved).toEqual([document.querySelector('[data-row="7"]')]);
});

it('so does what was not there before', () => {
  draw(null);
  draw(10, 'auto', 11);
  expect(moved).toEqual([document.querySelector('[data-row="10"]')]);
});
