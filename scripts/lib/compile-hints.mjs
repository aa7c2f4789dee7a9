import fs from 'node:fs';
import path from 'node:path';
import { ROOT } from './run.mjs';

/** Told at the top of a file, browsers of Chromium's kind compile all of it while it comes, beside the page's own work. */
const HINT = '//# allFunctionsCalledOnLoad\n';

/**
 * Has a browser compile what a page loads as it comes. Else every module is compiled when it is first called, by the thread
 * that wakes the page: an eighth of the time until a line can be typed (docs/decisions/019). Other browsers read a comment.
 */
export function hintCompiling(folder = path.join(ROOT, '.next/static/chunks')) {
  for (const name of fs.readdirSync(folder, { recursive: true })) {
    const file = path.join(folder, name);
    if (!name.endsWith('.js')) continue;
    const text = fs.readFileSync(file, 'utf8');
    if (!text.startsWith(HINT)) fs.writeFileSync(file, HINT + text);
  }
}
