import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { expect, it } from 'vitest';
import { hintCompiling } from './compile-hints.mjs';

it('every script of a build begins with the hint, once however often it is built, and nothing else does', () => {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'evarn hints-'));
  try {
    fs.mkdirSync(path.join(folder, 'more'));
    const files = { 'a.js': 'let a=1', 'more/b.js': '"use strict";let b=2', 'c.css': 'p{}' };
    for (const [name, text] of Object.entries(files)) fs.writeFileSync(path.join(folder, name), text);
    hintCompiling(folder);
    hintCompiling(folder);
    const now = Object.keys(files).map((name) => fs.readFileSync(path.join(folder, name), 'utf8'));
    const hint = '//# allFunctionsCalledOnLoad\n';
    expect(now).toEqual([`${hint}let a=1`, `${hint}"use strict";let b=2`, 'p{}']);
  } finally {
    fs.rmSync(folder, { recursive: true, force: true });
  }
});
