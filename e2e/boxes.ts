import type { Page } from '@playwright/test';

/** The widths that are looked at, and a window of 1280 by 800 at 200 and 400 percent. */
export const SIZES = [
  { name: '320', width: 320, height: 640 },
  { name: '390', width: 390, height: 844 },
  { name: '768', width: 768, height: 1024 },
  { name: '834', width: 834, height: 1112 },
  { name: '1024', width: 1024, height: 768 },
  { name: '1280', width: 1280, height: 800 },
  { name: '1920', width: 1920, height: 1080 },
  { name: '200 %', width: 640, height: 400 },
  { name: '400 %', width: 320, height: 200 },
] as const;

/**
 * What is wrong with where things lie on a page, in sentences: the page is wider than the window, something to press or to read lies on
 * another, an area that scrolls is too low to show anything, or a name has no room at all.
 */
export const boxFaults = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const faults: string[] = [];
    const nameOf = (el: Element): string =>
      `${el.tagName.toLowerCase()} “${(el.getAttribute('aria-label') ?? el.textContent ?? '').trim().replace(/\s+/g, ' ').slice(0, 40)}”`;
    if (document.documentElement.scrollWidth > window.innerWidth + 1) {
      const wide = [...document.body.querySelectorAll('*')].filter(
        (el) => el.getBoundingClientRect().right > window.innerWidth + 1,
      );
      faults.push(
        `the page is ${document.documentElement.scrollWidth} px wide: ${nameOf(wide.at(-1) ?? document.body)}`,
      );
    }
    /** Which ways something cuts off what is in it; nothing changes while it is looked at. */
    const cuts = new Map<Element, { x: boolean; y: boolean; r: DOMRect } | null>();
    const cutsOf = (el: Element) => {
      const known = cuts.get(el);
      if (known !== undefined) return known;
      const { overflowX, overflowY } = getComputedStyle(el);
      const [x, y] = [overflowX !== 'visible', overflowY !== 'visible'];
      const cut = x || y ? { x, y, r: el.getBoundingClientRect() } : null;
      cuts.set(el, cut);
      return cut;
    };
    /** The part of an element that can be seen: nothing of what an area that scrolls has cut off. */
    const seen = (el: Element): DOMRect | null => {
      // What lies in a folded part of the page has a place, and is not there.
      if (!el.checkVisibility({ checkOpacity: true, checkVisibilityCSS: true, contentVisibilityAuto: true }))
        return null;
      let { left, top, right, bottom } = el.getBoundingClientRect();
      for (let up = el.parentElement; up; up = up.parentElement) {
        const cut = cutsOf(up);
        if (cut?.x) [left, right] = [Math.max(left, cut.r.left), Math.min(right, cut.r.right)];
        if (cut?.y) [top, bottom] = [Math.max(top, cut.r.top), Math.min(bottom, cut.r.bottom)];
      }
      return right - left > 1 && bottom - top > 1 ? new DOMRect(left, top, right - left, bottom - top) : null;
    };
    const layers = '[role=dialog], [data-over], [role=listbox], [role=menu]';
    const pressed = [
      ...document.querySelectorAll('button, a[href], input, select, textarea, h1, h2, h3, p, dt, dd, th, td'),
    ].filter(
      (el) =>
        !el.closest(`svg, [aria-hidden=true], ${layers}, .sr-only, .sticky, nextjs-portal`) &&
        el.getAttribute('aria-hidden') !== 'true',
    );
    /** Where its words lie: of a heading and the like not the line it could fill, of a link that goes on a second line each. */
    const rectsOf = (el: Element): DOMRect[] => {
      const box = seen(el);
      if (!box) return [];
      if (el.matches('button, input, select, textarea')) return [box];
      const range = document.createRange();
      range.selectNodeContents(el);
      return [...range.getClientRects()].flatMap((r) => {
        const left = Math.max(r.left, box.left);
        const top = Math.max(r.top, box.top);
        const right = Math.min(r.right, box.right);
        const bottom = Math.min(r.bottom, box.bottom);
        return right - left > 1 && bottom - top > 1
          ? [new DOMRect(left, top, right - left, bottom - top)]
          : [];
      });
    };
    // Plain numbers, and what lies where before what is part of what: there may be a million pairs.
    const boxes = pressed.flatMap((el) =>
      rectsOf(el).map(({ left, top, right, bottom }) => ({ el, left, top, right, bottom })),
    );
    for (let i = 0; i < boxes.length; i++)
      for (let j = i + 1; j < boxes.length; j++) {
        const [a, b] = [boxes[i]!, boxes[j]!];
        const w = Math.min(a.right, b.right) - Math.max(a.left, b.left);
        const h = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top);
        if (w > 3 && h > 3 && a.el !== b.el && !a.el.contains(b.el) && !b.el.contains(a.el))
          faults.push(
            `${nameOf(a.el)} and ${nameOf(b.el)} lie on one another, ${Math.round(w)} x ${Math.round(h)} px`,
          );
      }
    for (const el of document.querySelectorAll('main *, section *')) {
      const { overflowY, display } = getComputedStyle(el);
      if (
        display === 'none' ||
        !el.checkVisibility({ contentVisibilityAuto: true }) ||
        !/auto|scroll/.test(overflowY) ||
        el.matches('textarea')
      )
        continue;
      const box = el.getBoundingClientRect();
      if (box.width === 0 && box.height === 0) continue;
      if (el.scrollHeight > el.clientHeight + 4 && el.clientHeight < 96)
        faults.push(`${nameOf(el)} scrolls in ${el.clientHeight} px`);
    }
    for (const el of document.querySelectorAll('.truncate')) {
      const box = el.getBoundingClientRect();
      if (box.height > 0 && el.textContent?.trim() && box.width < 24 && el.scrollWidth > box.width)
        faults.push(`${nameOf(el)} has ${Math.round(box.width)} px`);
    }
    return [...new Set(faults)];
  });
