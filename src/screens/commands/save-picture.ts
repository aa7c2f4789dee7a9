import { saveBlob } from '@/ui/save-file';

/** How many dots of the picture stand for one of the screen, so that it is sharp on paper. */
const DOTS = 2;

/**
 * Saves what the page shows as a PNG: its main part whole, with what is scrolled out of sight, or the sheet that is open
 * over it. The library is loaded when it is asked for.
 */
export async function savePicture(): Promise<void> {
  const shown = document.querySelector<HTMLElement>('[role=dialog]') ?? document.querySelector('main');
  if (!shown) return;
  const { toBlob } = await import('html-to-image');
  const picture = await toBlob(shown, {
    pixelRatio: DOTS,
    backgroundColor: getComputedStyle(document.body).backgroundColor,
    width: shown.scrollWidth,
    height: shown.scrollHeight,
    filter: (node) => !(node instanceof HTMLElement && node.classList.contains('no-print')),
  });
  if (picture) saveBlob(picture, `${document.title.replace(/[^\w]+/g, '-').toLowerCase()}.png`);
}
