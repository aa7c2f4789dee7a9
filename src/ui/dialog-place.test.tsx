// @vitest-environment happy-dom
import { expect, it } from 'vitest';
import { placeBeside } from './dialog-place';

const opener = (left: number, top: number): Element => {
  const el = document.createElement('button');
  el.getBoundingClientRect = () => new DOMRect(left, top, 80, 30);
  return el;
};
const window_ = (width: number, height: number): void => {
  Object.assign(window, { innerWidth: width, innerHeight: height });
};
it('stands in the other half of a wide page', () => {
  window_(1280, 800);
  expect([placeBeside(opener(10, 700)), placeBeside(opener(1100, 20))]).toEqual(['right', 'left']);
});

it('stands below or above on a narrow one', () => {
  window_(390, 844);
  expect([placeBeside(opener(10, 40)), placeBeside(opener(10, 700))]).toEqual(['bottom', 'top']);
});

it('stands in the middle where nothing was pressed', () => {
  window_(1280, 800);
  expect(placeBeside(null)).toBe('middle');
});
