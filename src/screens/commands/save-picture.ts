import { saveBlob } from '@/ui/save-file';

/** How many dots of the picture stand for one of the screen, so that it is sharp on paper. */
const DOTS = 2;
/** How long a sheet that was closed may take to be gone. */
const CLOSED_MS = 120;

/**
 * Saves what the page shows as a PNG: its main part whole, with what is scrolled out of sight, or the sheet that is open
 * over it. The library is loaded when it is asked for.
 */
export async function savePicture(): Promise<void> {
  // The list of commands is closed first: it is not what is meant.
  await new Promise((closed) => setTimeout(closed, CLOSED_MS));
  const shown = document.querySelector<HTMLElement>('[role=dialog]') ?? document.querySelector('main');
  if (!shown) return;
  const { toBlob } = await import('html-to-image');
  const picture = await toBlob(shown, {
    pixelRatio: DOTS,
    // The library would look for fonts by a base address, which the page's policy forbids.
    fontEmbedCSS: await fontsInside(),
    backgroundColor: getComputedStyle(document.body).backgroundColor,
    width: shown.scrollWidth,
    height: shown.scrollHeight,
    filter: (node) => !(node instanceof HTMLElement && node.classList.contains('no-print')),
  });
  if (picture) saveBlob(picture, `${document.title.replace(/[^\w]+/g, '-').toLowerCase()}.png`);
}

/** The page's fonts with their files inside: a picture can fetch none. Those of other scripts than the screen's are left out. */
async function fontsInside(): Promise<string> {
  const faces = [...document.styleSheets].flatMap((sheet) =>
    [...sheet.cssRules].flatMap((rule) => {
      const found = rule instanceof CSSFontFaceRule && /url\("?([^")]+)"?\)/.exec(rule.cssText);
      const isLatin = /unicode-range: U\+0-FF/i.test(rule.cssText) || !rule.cssText.includes('unicode-range');
      return found && isLatin
        ? [{ css: rule.cssText, url: found[1]!, from: sheet.href ?? document.baseURI }]
        : [];
    }),
  );
  const inside = faces.map(async ({ css, url, from }) => {
    const file = await fetch(new URL(url, from)).catch(() => null);
    return file?.ok ? css.replace(url, await dataUrl(await file.blob())) : '';
  });
  return (await Promise.all(inside)).join('\n');
}

const dataUrl = (blob: Blob): Promise<string> =>
  new Promise((done, failed) => {
    const reader = new FileReader();
    reader.onload = () => done(reader.result as string);
    reader.onerror = () => failed(new Error('a font could not be read'));
    reader.readAsDataURL(blob);
  });
