import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

/** Everything that chrome is made of. The colours of bricks come out of the palette, in src/core. */
const FILES = execFileSync(
  'git',
  ['ls-files', '--cached', '--others', '--exclude-standard', 'src/ui', 'src/screens', 'src/app'],
  { encoding: 'utf8' },
)
  .split('\n')
  .filter((f) => /\.(tsx?|css|svg)$/.test(f) && !/\.test\.tsx?$/.test(f));

const isGrey = (hex: string): boolean => {
  const full = hex.length === 4 ? hex.replace(/[0-9a-f]/gi, '$&$&') : hex;
  return full.slice(1, 3) === full.slice(3, 5) && full.slice(3, 5) === full.slice(5, 7);
};

describe('the only colour on the screen is brick', () => {
  it.each(FILES.map((f) => [f]))('%s', (file) => {
    const text = readFileSync(file, 'utf8');
    const colours = [...text.matchAll(/#[0-9a-f]{6}\b|(?<=["':\s])#[0-9a-f]{3}(?=["';\s])/gi)].map((m) =>
      m[0].toLowerCase(),
    );
    expect(colours.filter((c) => !isGrey(c))).toEqual([]);
    expect(text).not.toMatch(
      /\b(?:text|bg|border|fill|stroke|ring|outline)-(?:red|blue|green|yellow|orange|amber|purple|violet|pink|teal|sky|indigo|rose|lime|emerald|cyan|slate|zinc|stone)-\d/,
    );
    expect(text).not.toMatch(/\b(?:rgb|hsl|oklch|lab)a?\(/);
  });

  it('looks at every screen', () => expect(FILES.length).toBeGreaterThan(50));
});
