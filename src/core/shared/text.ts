/**
 * The beginning of a text, at most `most` UTF-16 units long, cut between characters as a reader sees them: never through
 * a surrogate pair, a flag or a joined emoji, since half a character cannot be stored and read back the same.
 *
 * cutText('plate', 3) = 'pla'; cutText('ab🧱', 3) = 'ab'
 */
export function cutText(text: string, most: number): string {
  if (text.length <= most) return text;
  // A window a little wider than the cut is enough: no character a reader sees is longer in sensible text.
  const window = text.slice(0, most + 64);
  let end = 0;
  segmenter ??= new Intl.Segmenter('en', { granularity: 'grapheme' });
  for (const { index, segment } of segmenter.segment(window)) {
    if (index + segment.length > most) break;
    end = index + segment.length;
  }
  if (end > 0) return text.slice(0, end);
  // One character longer than the cut: then between code points.
  const last = text.charCodeAt(most - 1);
  return text.slice(0, last >= 0xd800 && last <= 0xdbff ? most - 1 : most);
}

/** Made when it is first asked for: making one takes a browser as long as drawing part of a page. */
let segmenter: Intl.Segmenter | undefined;

/** Text that can be stored and read back the same: no half characters and no zero bytes. */
export const isWholeText = (text: string): boolean => text.isWellFormed() && !text.includes('\0');

/** The text with half characters made "\uFFFD" and zero bytes left out. */
export const wholeText = (text: string): string => text.toWellFormed().replaceAll('\0', '');
