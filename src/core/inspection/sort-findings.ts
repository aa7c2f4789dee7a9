import type { Finding } from '../ledger';
import { elementName, saysWords } from '../parts';
import type { FindingState } from './findings';

/** A finding with where it stands. */
export interface StatedFinding {
  readonly finding: Finding;
  readonly state: FindingState;
}

/** How findings can be ordered to be looked at: what is still open first. */
export const FINDING_ORDERS = [
  'what is open first',
  'what matters most',
  'by zone',
  'by kind',
  'last found first',
] as const;
export type FindingOrder = (typeof FINDING_ORDERS)[number];

const STATES: readonly FindingState[] = ['open', 'planned', 'closed', 'dropped', 'kept'];

/**
 * The findings that have all words of a search in their note, kind, zone or parts, in an order; where two are alike, what
 * is open first, and what matters most of that.
 *
 * sortFindings(stated, 'gallery', 'by kind', zoneName) = those of the gallery, kind by kind
 */
export function sortFindings(
  findings: readonly StatedFinding[],
  text: string,
  order: FindingOrder,
  zoneName: (finding: Finding) => string,
): readonly StatedFinding[] {
  const has = saysWords(text);
  const said = (f: Finding) => [
    f.note,
    f.kind,
    zoneName(f),
    ...f.lots.map((l) => elementName(l.element)),
    f.to ? elementName(f.to) : '',
  ];
  const usual = (a: StatedFinding, b: StatedFinding) =>
    STATES.indexOf(a.state) - STATES.indexOf(b.state) || b.finding.matters - a.finding.matters;
  const compare: Readonly<Record<FindingOrder, (a: Finding, b: Finding) => number>> = {
    'what is open first': () => 0,
    'what matters most': (a, b) => b.matters - a.matters,
    'by zone': (a, b) => zoneName(a).localeCompare(zoneName(b), 'en'),
    'by kind': (a, b) => a.kind.localeCompare(b.kind, 'en'),
    'last found first': (a, b) => b.at.localeCompare(a.at),
  };
  return findings
    .filter(({ finding }) => has(said(finding).join(' ')))
    .sort((a, b) => compare[order](a.finding, b.finding) || usual(a, b));
}
