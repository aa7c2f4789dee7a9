import type { Compromise, letterState, RuleAsks, RuleNow } from '@/core/brief';
import type { Finding, FreshEyes, PartMarkName } from '@/core/records';
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

const COMPROMISE_WORDS: Readonly<Record<Compromise['kind'], string>> = {
  placeholder: 'Placeholder',
  'to be chosen': 'Still to be chosen',
  mismatch: 'A mismatch that was left',
  'weak place': 'A weak place',
  'weak wall': 'Weak joints in a wall',
  sticker: 'Sticker',
  'not as sold': 'Not as it was sold',
};

/** What a compromise is, and of how many. */
export const compromiseName = ({ kind, qty }: Compromise): string =>
  qty > 1 ? `${count(qty)} × ${COMPROMISE_WORDS[kind].toLowerCase()}` : COMPROMISE_WORDS[kind];

/** Whether it can be mended now, and at what price. */
export function mendWords(c: Compromise, say: (amount: number) => string): string {
  const lacks = c.qty - c.atHand;
  if (c.wants && c.atHand > 0)
    return lacks > 0 ? `${count(c.atHand)} at hand, ${count(lacks)} to get` : 'at hand now';
  if (c.wants)
    return c.each === null
      ? 'to get, price not known'
      : `to buy, ${c.estimated ? 'about ' : ''}${say(c.each)} each`;
  if (c.can) return c.each ? `can be done now, ${say(c.each)}` : 'can be done now';
  return c.kind === 'sticker' && c.can === null ? 'to be decided' : '';
}

const WHERE: Readonly<Record<Compromise['kind'], string>> = {
  placeholder: 'parts',
  'to be chosen': 'brief?part=compromises',
  mismatch: 'colour',
  'weak place': 'fit?part=strength',
  'weak wall': 'fit?part=walls',
  sticker: 'colour?part=stickers',
  'not as sold': '',
};

/** The part of the program where a compromise is mended. */
export const compromiseWhere = ({ kind }: Compromise): string => WHERE[kind];

/** "2 h 30 min", "40 min" */
export function hoursWords(minutes: number): string {
  const [h, min] = [Math.floor(minutes / 60), minutes % 60];
  return [h > 0 ? `${count(h)} h` : '', min > 0 ? `${min} min` : ''].filter(Boolean).join(' ') || '0 min';
}

export const FRESH_WORDS: Readonly<Record<FreshEyes, string>> = {
  'colours as one': 'Do the colours read as one?',
  proportions: 'Are the proportions right?',
  lines: 'Do the lines run through?',
  gaps: 'Where are gaps?',
  'where the eye goes first': 'Where does the eye go first?',
};

/** How a letter stands. */
export function letterWords({ unanswered, isDue }: ReturnType<typeof letterState>): string {
  const asked =
    unanswered === 0
      ? 'Nothing waits for an answer.'
      : `Asked ${unanswered === 1 ? 'once' : unanswered === 2 ? 'twice' : `${count(unanswered)} times`} without an answer.`;
  return `${unanswered > 1 ? '▲ ' : ''}${asked}${isDue ? ' ▲ The next step is due.' : ''}`;
}

/** Parts that are not as they were sold. */
export const PART_MARK_WORDS: Readonly<Record<PartMarkName, string>> = {
  'other maker': 'of another maker',
  printed: 'printed at home',
  cut: 'cut',
  painted: 'painted',
};

/** What became of something that must stay: "reduced, two of three", "not asked yet". */
export function stayAnswerWords({ answer, how }: Pick<Finding, 'answer' | 'how'>): string {
  const more = how ? `, ${how}` : '';
  switch (answer) {
    case null:
      return '… not asked yet';
    case 'there':
      return `✓ still there${more}`;
    case 'lost':
      return `▲ lost${more}`;
    default:
      return `${answer}${more}`;
  }
}
