import { added, EMPTY_DIFF, joinDiffs, removed, type ColourRule, type Command, type Source } from '../ledger';
import { partOf } from '../parts';
import { asId, type ColourId, type ColourRuleId, type PartId, type ZoneId } from '../shared/ids';
import type { Workbench } from '../workbench';

/** What a rule speaks of. */
export type RuleScope = Pick<ColourRule, 'zone' | 'family' | 'colour'>;

/**
 * The rule that holds for a part in a colour in a zone, or undefined: of several the one that says most exactly what it
 * is about, the zone before the family before the colour.
 *
 * @example ruleFor(rules, zone, 'window 1x2x2', 'soot')?.to // 'chalk': window frames are white in all zones
 */
export function ruleFor(
  rules: readonly ColourRule[],
  zone: ZoneId | null,
  part: PartId,
  colour: ColourId,
): ColourRule | undefined {
  const { family } = partOf(part);
  let best: ColourRule | undefined;
  for (const rule of rules) {
    if (rule.zone !== null && rule.zone !== zone) continue;
    if (rule.family !== '' && rule.family !== family.name && rule.family !== family.group) continue;
    if (rule.colour !== null && rule.colour !== colour) continue;
    if (!best || exactness(rule) > exactness(best)) best = rule;
  }
  return best;
}

const exactness = (r: RuleScope): number =>
  (r.zone === null ? 0 : 4) + (r.family === '' ? 0 : 2) + (r.colour === null ? 0 : 1);

/** The rules of a build, in the order they were given. */
export const rulesOf = (workbench: Workbench): ColourRule[] => [...workbench.records.colourRule.values()];

/** "windows in all zones", "kelp in Tower", "kelp tiles in Tower": what a rule is about. */
export function scopeWords(scope: RuleScope, zoneName: string): string {
  const what = [scope.colour ?? '', scope.family ? scope.family.toLowerCase() : ''].filter(Boolean).join(' ');
  return `${what || 'everything'} ${scope.zone === null ? 'in all zones' : `in ${zoneName}`}`;
}

/** Learns that something belongs in a colour, or with `to` null that it is meant as it is. Takes the place of a rule of the same scope. */
export function learnColourRule(
  workbench: Workbench,
  scope: RuleScope,
  to: ColourId | null,
  source: Source,
): Command {
  const old = rulesOf(workbench).filter(
    (r) => r.zone === scope.zone && r.family === scope.family && r.colour === scope.colour,
  );
  const rule: ColourRule = {
    id: asId<ColourRuleId>(source.newId()),
    build: workbench.build,
    zone: scope.zone,
    family: scope.family,
    colour: scope.colour,
    to,
  };
  const zone = scope.zone ? (workbench.records.zone.get(scope.zone)?.name ?? '') : '';
  return {
    label: `${scopeWords(scope, zone)} ${to === null ? 'is meant so' : `belongs in ${to}`}`,
    diff: joinDiffs(removed('colourRule', ...old), added('colourRule', rule)),
  };
}

/** Unlearns a rule. */
export function forgetColourRule(workbench: Workbench, rule: ColourRule): Command {
  const old = workbench.records.colourRule.get(rule.id);
  const zone = rule.zone ? (workbench.records.zone.get(rule.zone)?.name ?? '') : '';
  return {
    label: `forget the rule for ${scopeWords(rule, zone)}`,
    diff: old ? removed('colourRule', old) : EMPTY_DIFF,
  };
}
