import { describe, expect, it } from 'vitest';
import { lineOfBlock } from '../log-line';
import { intentOf } from '../ledger';
import { did, makeWorkbench, testSource, zoneId } from '../testing/workbench';
import { addModification, copiedEntries, findInLog, LOG_ORDERS, logLine, readLine, sortLog } from './index';
import type { Workbench } from './workbench';

const source = testSource();

/** A worklog of three entries in one modification. */
const log = (): Workbench => {
  const workbench = makeWorkbench({ zones: { Wall: ['40 brick 1x2 ash'], Roof: ['20 tile 2x2 bark'] } });
  const begun = addModification(workbench, 'Firm up', zoneId('Wall'), source);
  did(workbench, begun);
  for (const line of [
    '-3 brick 1x2 ash #weak',
    '-5 tile 2x2 bark @roof "chipped edge"',
    '+2 tile 2x2 bark plan',
  ]) {
    const [modification] = workbench.modifications;
    const options = {
      modification: modification!,
      planned: false,
      without: [],
      scope: { of: 'build' },
    } as const;
    did(workbench, logLine(workbench, readLine(workbench, line, options), line, source));
  }
  return workbench;
};
const numbers = (workbench: Workbench, text: string) =>
  workbench.entries.filter((e) => findInLog(workbench, text)?.entries.has(e.id)).map((e) => e.no);
const ofLog = (workbench: Workbench) => workbench.entries.filter((e) => e.modification);

describe('finding in a worklog', () => {
  it('looks for all words in parts, colours, whys and notes, however they are written', () => {
    const workbench = log();
    const [a, b, c] = ofLog(workbench).map((e) => e.no);
    expect(numbers(workbench, 'BARK tile')).toEqual([b, c]);
    expect(numbers(workbench, '#weak')).toEqual([a]);
    expect(numbers(workbench, 'edge chipped')).toEqual([b]);
    expect(numbers(workbench, 'planned bark')).toEqual([c]);
    expect(numbers(workbench, 'bark weak')).toEqual([]);
  });

  it('finds modifications by what is said of them, and says null when nothing is looked for', () => {
    const workbench = log();
    const [m] = workbench.modifications;
    expect(findInLog(workbench, m!.title)?.modifications).toEqual(new Set([m!.id]));
    expect(findInLog(workbench, `m0${m!.no}`)?.modifications).toEqual(new Set([m!.id]));
    expect(findInLog(workbench, '   ')).toBeNull();
  });
});

describe('a worklog in another order', () => {
  it('has the same modifications in every order, and its own as it stands', () => {
    const workbench = log();
    for (const order of LOG_ORDERS)
      expect(new Set(sortLog(workbench, workbench.modifications, order, workbench.planned))).toEqual(
        new Set(workbench.modifications),
      );
    expect(sortLog(workbench, workbench.modifications, 'as they stand', workbench.planned)).toBe(
      workbench.modifications,
    );
  });
});

describe('copied entries', () => {
  it('come back from lines, and from cells, as what they were', () => {
    const workbench = log();
    const { lines, heading, rows } = copiedEntries(workbench.entries, workbench.printContext);
    expect(rows).toHaveLength(ofLog(workbench).length);
    const cells = [heading, ...rows.map((r) => r.map((c) => (/^[-+]/.test(String(c)) ? `'${c}` : c)))];
    const table = cells.map((r) => r.join('\t')).join('\r\n');
    expect(lineOfBlock(table)).toBe(lineOfBlock(lines));
    const [modification] = workbench.modifications;
    const read = readLine(workbench, lineOfBlock(lines), {
      modification: modification!,
      planned: false,
      without: ofLog(workbench),
      scope: { of: 'build' },
    });
    const again = read.clauses.map((c) => c.entry && intentOf(c.entry));
    expect(again.map((i) => [i?.kind, i?.off, i?.on, i?.why, i?.planned])).toEqual(
      ofLog(workbench)
        .map((e) => intentOf(e))
        .map((i) => [i?.kind, i?.off, i?.on, i?.why, i?.planned]),
    );
  });

  it('a block of cells from elsewhere is read as words', () => {
    expect(lineOfBlock('12\tbrick 1x4\tash\n3\ttile 1x1\tbark')).toBe('+12 brick 1x4 ash; +3 tile 1x1 bark');
  });
});
