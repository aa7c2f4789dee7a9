import { describe, expect, it } from 'vitest';
import { PALETTE } from '../colour';
import { between, pick, seededRandom } from '../shared/random';
import { el } from '../testing/world';
import { makeWorkbench, planned, testSource } from '../testing/workbench';
import { readLine } from '../workbench';
import { chipsFor, recentElements, withoutLast, type ChipChoice } from './chips';

const RECENT = [el('brick 2x4', 'ash'), el('slope 45 2x2', 'rust')];
const choice: ChipChoice = { recent: RECENT, colours: PALETTE.map((c) => c.id) };
const says = (line: string) => chipsFor(line, choice).map((c) => c.says);
const press = (line: string, key: string) => chipsFor(line, choice).find((c) => c.says === key)!.line;

describe('the keys of the line', () => {
  it('lead from a verb to a number, a part and, of a recolouring, a colour', () => {
    expect(says('')).toEqual(['off', 'on', 'recolour', 'renew', 'missing']);
    let line = '';
    for (const key of ['recolour', '4', 'brick 2x4 ash', 'to which colour', 'kelp']) line = press(line, key);
    expect(line).toBe('~4 brick 2x4 ash > kelp');
    expect(says(line)).toEqual(['and']);
    expect(says(press(line, 'and'))).toContain('off');
  });

  it('write lines that are read, whatever is pressed', () => {
    const b = makeWorkbench({
      zones: { Wall: ['90 brick 2x4 ash', '90 slope 45 2x2 rust', '90 brick 2x4 kelp'] },
    });
    planned(b, testSource('t'), { off: [{ element: RECENT[0]!, qty: 1 }] });
    const modification = b.modifications[0]!;
    const random = seededRandom(71);
    for (let round = 0; round < 60; round++) {
      let line = '';
      const clauses = between(random, 1, 3);
      for (let done = 0; done < clauses;) {
        const next = pick(random, chipsFor(line, choice));
        if (next.says === 'and' && ++done === clauses) break;
        line = next.line;
      }
      const reading = readLine(b, line, { modification, planned: true, scope: { of: 'build' } });
      expect(reading.problems ?? [], line).toEqual([]);
      expect(reading.clauses.length, line).toBe(clauses);
    }
  });

  it('take back a word at a time, to nothing', () => {
    expect(withoutLast('~4 brick 2x4 ash > kelp')).toBe('~4 brick 2x4 ash > ');
    let line = '-2 brick 2x4 ash, +1 slope 45 2x2 rust';
    for (let i = 0; i < 20; i++) line = withoutLast(line);
    expect(line).toBe('');
  });

  it('offer the parts that were logged last, each once', () => {
    const entries = [
      { movements: [{ element: RECENT[0]! }] },
      { movements: [{ element: RECENT[1]! }, { element: RECENT[0]! }] },
    ];
    expect(recentElements(entries, 5)).toEqual([RECENT[1], RECENT[0]]);
    expect(recentElements(entries, 1)).toEqual([RECENT[1]]);
  });
});
