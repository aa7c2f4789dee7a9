import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cutText, isWholeText, wholeText } from './text';

describe('a text that is cut', () => {
  it.each([
    ['plate', 3, 'pla'],
    ['plate', 9, 'plate'],
    ['ab🧱cd', 3, 'ab'],
    ['ab🧱cd', 4, 'ab🧱'],
    ['🇬🇧🇫🇷', 5, '🇬🇧'],
    ['👩‍🔧x', 3, '👩‍'],
    ['', 5, ''],
  ])('%s to %i: %s', (text, most, cut) => expect(cutText(text, most)).toBe(cut));

  it('is a beginning of it, not longer, and as whole as it was', () =>
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 60 }), fc.integer({ min: 1, max: 40 }), (t, n) => {
        const cut = cutText(t, n);
        expect(t.startsWith(cut)).toBe(true);
        expect(cut.length).toBeLessThanOrEqual(n);
        if (isWholeText(t)) expect(isWholeText(cut)).toBe(true);
      }),
    ));
});

describe('half characters', () => {
  it('are seen and can be mended', () => {
    expect(isWholeText('a\ud83e')).toBe(false);
    expect(isWholeText('a\0b')).toBe(false);
    expect(isWholeText('a🧱')).toBe(true);
    expect(wholeText('a\ud83eb\0c')).toBe('a\ufffdbc');
  });
});
