/** Where a sheet stands on the page. */
export type DialogPlace = 'middle' | 'left' | 'right' | 'top' | 'bottom';

/** From this width on, in pixels, half a page beside has room for a table. */
const WIDE = 1024;

/**
 * Where a sheet stands so that what it was opened from can be read: on a wide page in the other half, on a narrow one above
 * or below; in the middle where nothing on the page was pressed.
 */
export function placeBeside(opener: Element | null): DialogPlace {
  if (!opener) return 'middle';
  const { left, right, top, bottom } = opener.getBoundingClientRect();
  if (window.innerWidth >= WIDE) return (left + right) / 2 < window.innerWidth / 2 ? 'right' : 'left';
  return (top + bottom) / 2 < window.innerHeight / 2 ? 'bottom' : 'top';
}
