import { describe, expect, it } from 'vitest';
import { auditColours, MISMATCH_KINDS, type Register } from '@/core/mismatch';
import { FADING_GRADES } from '@/core/colour';
import { FINDING_KINDS } from '@/core/ledger';
import { FADING_OPTIONS } from '@/core/fading';
import { makeWorkbench } from '@/core/testing/workbench';
import {
  auditHeadline,
  costWords,
  FADING_SHORT,
  fixSource,
  inWords,
  madeWords,
  recommendation,
  MISMATCH_WORDS,
} from './colour';
import {
  countProblemWords,
  FINDING_WORDS,
  lackWords,
  meterFaultWords,
  photoFaultWords,
  photoWarningWords,
  readingProblemWords,
  FADING_OPTION_WORDS,
  SPOT_DOUBTS,
} from './inspection';

const isSentence = (text: string) => expect(text).toMatch(/^[A-Z“▲0-9].{10,}[.:]$/);

describe('inspecting has words for everything', () => {
  it.each([
    { problem: 'not understood', text: 'ten' },
    { problem: 'more than the box holds', expected: 12, counted: 13 },
    { problem: 'more worn than there', there: 4, worn: 5 },
    { problem: 'not a whole number' },
    { problem: 'worked on since', left: 2 },
  ] as const)('count: $problem', (p) => isSentence(countProblemWords(p)));

  it.each([
    'no card',
    'no spot',
    'card clipped',
    'card too dark',
    'outside',
    'not a picture',
    'not a photo',
    'damaged',
    'too many pixels',
    'too large',
    'no such build',
    'anything else',
  ])('photo: %s', (fault) => isSentence(photoFaultWords({ fault })));

  it.each([
    'not connected',
    'not calibrated',
    'no contact',
    'lost connection',
    'unreachable',
    'anything else',
  ])('meter: %s', (fault) => isSentence(meterFaultWords(fault)));

  it('warnings, doubts, kinds and options', () => {
    isSentence(photoWarningWords({ warns: 'uneven light', share: 0.3 }));
    isSentence(photoWarningWords({ warns: 'too little light', level: 0.01 }));
    isSentence(photoWarningWords({ warns: 'card tinted by strong light', kelvin: 1500 }));
    isSentence(readingProblemWords({ problem: 'too few there', there: 3 }));
    expect(Object.values(SPOT_DOUBTS).every((d) => d.includes(':'))).toBe(true);
    for (const k of FINDING_KINDS) expect(FINDING_WORDS[k]).toBeTruthy();
    for (const s of FADING_OPTIONS) expect(FADING_OPTION_WORDS[s]).toBeTruthy();
    for (const g of FADING_GRADES) expect(FADING_SHORT[g]).toBeTruthy();
    for (const k of MISMATCH_KINDS) expect(MISMATCH_WORDS[k]).toBeTruthy();
    expect(lackWords({ missing: 3, broken: 1 })).toBe('3 missing, 1 broken');
    expect(lackWords({ missing: 0, broken: 2 })).toBe('2 broken');
  });
});

describe('colour answers in a sentence, numbers first', () => {
  const all: Register = { look: () => ({ made: true, from: 1990, to: null }) };
  const none: Register = { look: () => ({ made: false }) };
  const workbench = makeWorkbench({
    zones: { Wall: ['40 brick 1x2 ash', '4 brick 1x2 slate', '2 brick 1x4 dove'] },
    prices: ['brick 1x2 ash 9'],
  });

  it('says how many mismatches, where, and what money does', () => {
    expect(auditHeadline(auditColours(workbench, all, 2026))).toMatch(
      /^2 mismatches in one zone\. £0\.36 fixes four fifths/,
    );
    expect(auditHeadline(auditColours(workbench, none, 2026))).toContain('None of them can be bought');
    const clean = makeWorkbench({ zones: { Wall: ['40 brick 1x2 ash'] } });
    expect(auditHeadline(auditColours(clean, all, 2026))).toBe('No colour here reads as a mistake.');
  });

  it('says where a fix comes from and what it costs', () => {
    const [slate] = auditColours(workbench, all, 2026).fixes;
    expect([fixSource(slate!), costWords(slate!)]).toEqual(['buy 4 at £0.09', '£0.36']);
    const dove = auditColours(workbench, all, 2026).fixes.find((f) => f.mismatch.element.includes('dove'));
    expect(costWords(dove!)).toBe('no price');
    expect(madeWords({ made: true, from: 1999, to: 2009 }, 'retired')).toBe('made 1999 to 2009, retired');
    expect(madeWords({ made: false }, 'never')).toBe('never made in it');
    expect(madeWords({ made: true, from: 0, to: 0 }, 'retired')).toBe('came in a box');
    expect([inWords(4), inWords(40)]).toEqual(['four', '40']);
  });

  it('says which option it would take and why', () => {
    const report = { limit: 2.5, recommended: 'leave', because: 'not seen' } as Parameters<
      typeof recommendation
    >[0];
    expect(recommendation(report)).toMatch(/^Leave it: no two seen pieces are ΔE 2.5 apart/);
    for (const because of ['cheapest that is not seen', 'least spread'] as const)
      isSentence(recommendation({ ...report, because }));
  });
});
