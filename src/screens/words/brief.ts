import type { RuleAsks, RuleNow } from '@/core/brief';
import { count, money } from '@/ui/numbers';
import { list } from './places';

/** A number in the unit that a rule asks for. */
export function ruleAmount(asks: RuleAsks, n: number): string {
  switch (asks) {
    case 'money':
      return money(n);
    case 'studs':
      return `${count(Math.round(n * 10) / 10)} ${n === 1 ? 'stud' : 'studs'}`;
    case 'parcels':
      return `${count(n)} ${n === 1 ? 'parcel' : 'parcels'}`;
    default:
      return count(n);
  }
}

/** How a rule stands, in a sentence. */
export function ruleWords({ rule, setting, state, exception }: RuleNow): string {
  const chance =
    state.chance === undefined
      ? ''
      : ` ${Math.round(state.chance * 100)} % chance that what was ordered is there.`;
  if (state.holds === null) return `It cannot be told yet: ${state.lacks} would have to be known.`;
  const is = state.is === null ? '' : `It is ${ruleAmount(rule.asks, state.is)}`;
  if (state.holds) {
    const left = state.is === null ? 0 : setting.limit - state.is;
    if (is === '') return `It holds.${chance}`;
    return left > 0 ? `${is}, ${ruleAmount(rule.asks, left)} left.` : `${is}: it holds.`;
  }
  const over =
    state.is === null
      ? ''
      : `${is}, ${ruleAmount(rule.asks, Math.abs(state.is - setting.limit))} ${state.is > setting.limit ? 'too many' : 'too few'}. `;
  const where = state.where.length > 0 ? `By ${list([...state.where])}. ` : '';
  const entries =
    state.breaks.length > 0
      ? `${count(state.breaks.length)} ${state.breaks.length === 1 ? 'entry breaks' : 'entries break'} it. `
      : '';
  const allowed = exception ? `An exception: ${exception.reason || 'no reason was given'}.` : '';
  return `▲ Broken. ${over}${where}${entries}${allowed}`.trim() + chance;
}

/** The answer in a sentence: does it keep what was promised? */
export function briefHeadline(purpose: string, rules: readonly RuleNow[]): string {
  if (rules.length === 0)
    return purpose ? 'No house rule is on.' : 'What is it for, and what must it keep to?';
  return `${rulesInShort(rules)}.`;
}

/** "6 of 8 rules hold, 2 broken with a reason" */
export function rulesInShort(rules: readonly RuleNow[]): string {
  const hold = rules.filter((r) => r.state.holds === true).length;
  const broken = rules.filter((r) => r.state.holds === false);
  const excepted = broken.filter((r) => r.exception).length;
  const bare = broken.length - excepted;
  const open = rules.length - hold - broken.length;
  const says = [
    `${count(hold)} of ${count(rules.length)} ${rules.length === 1 ? 'rule holds' : 'rules hold'}`,
    bare > 0 ? `${count(bare)} broken` : '',
    excepted > 0 ? `${count(excepted)} broken with a reason` : '',
    open > 0 ? `${count(open)} not known yet` : '',
  ].filter(Boolean);
  return says.join(', ');
}

/** "6 of 8 rules, ▲ 1 broken": for a line that has little room. */
export function rulesShortest(rules: readonly RuleNow[]): string {
  const hold = rules.filter((r) => r.state.holds === true).length;
  const bare = rules.filter((r) => r.state.holds === false && !r.exception).length;
  return `${count(hold)} of ${count(rules.length)} rules${bare > 0 ? `, ▲ ${count(bare)} broken` : ''}`;
}
