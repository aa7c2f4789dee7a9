import { briefOf, rulesNow, type RuleNow } from '@/core/brief';
import { takeTally } from '@/core/ledger';
import type { SheetBlock } from '@/core/mod-sheet';
import { stageAt, stagesOf, toldOf } from '@/core/show';
import { count, priced, signed, spares } from '@/ui/numbers';
import { balanceWords } from '../../words/balance';
import { ruleAmount } from '../../words/brief';
import { heading, listed, pictures, table, text, type Composing } from './blocks';

/** Stages with their photos and figures, and what is told of each zone. */
export function beforeAndAfter({ workbench, tells }: Composing): SheetBlock[] {
  const stages = stagesOf(workbench);
  const shots = stages.flatMap((s) => (s.photo ? [{ photo: s.photo, says: s.name }] : []));
  const told = workbench.zones.map((z) => ({ name: z.name, told: toldOf(workbench, z.id) }));
  const rooms = told.filter((t) => t.told.was || t.told.is);
  const photos = told.flatMap((t) => (t.told.photo ? [{ photo: t.told.photo, says: t.name }] : []));
  const rows = stages.map((s) => {
    const now = stageAt(workbench, s.no);
    const f = now.tally.figures;
    return [
      s.name,
      count(f.onModel),
      signed(f.net),
      count(f.recoloured),
      ...(tells('notes') ? [s.note] : []),
    ];
  });
  const head = ['Stage', 'pieces', 'net', 'recoloured', ...(tells('notes') ? ['note'] : [])];
  if (shots.length + rooms.length + photos.length + rows.length === 0) return [];
  return [
    heading('Before and after'),
    ...pictures(shots),
    ...(rows.length > 0 ? [table(head, rows)] : []),
    ...rooms.flatMap(({ name, told: t }): SheetBlock[] => [
      heading(name, 3),
      text([t.was ? `Before: ${t.was}` : '', t.is ? `Now: ${t.is}` : ''].filter(Boolean).join(' ')),
    ]),
    ...pictures(photos),
  ];
}

export function tallyPart({ workbench, planned, tells }: Composing): SheetBlock[] {
  const books = planned ? workbench.planned : workbench.built;
  const { figures: f } = takeTally(books, { of: 'build' }, workbench.priceOf);
  const cost = tells('prices') ? `, for ${priced(f.outOfPocket, f.boughtUnpriced)} out of pocket` : '';
  return [
    heading('In one line'),
    text(
      `${planned ? 'As planned' : 'As built'}: ${balanceWords(f)}, net ${signed(f.net)}; ${count(f.recoloured)} recoloured, ${count(f.renewed)} renewed, ${spares(f.sparesLeft)}${cost}.`,
    ),
  ];
}

export function briefPart({ workbench, tells }: Composing): SheetBlock[] {
  const { purpose, wishes } = briefOf(workbench);
  const rules = rulesNow(workbench);
  if (!purpose && wishes.length + rules.length === 0) return [];
  return [
    heading('What it is for'),
    ...(purpose ? [text(purpose)] : []),
    ...listed(wishes.map((w) => `${w.what}${w.done ? ': done' : ''}`)),
    ...(rules.length > 0 ? [heading('House rules', 3)] : []),
    ...listed(rules.map((r) => ruleTold(r, tells('prices')))),
  ];
}

/** A rule with how it stands and the reason of its exception; sums of money only where they are told. */
function ruleTold({ rule, setting, state, exception }: RuleNow, withMoney: boolean): string {
  const isMoney = rule.asks === 'money';
  const asks = ['pieces', 'studs', 'parcels'].includes(rule.asks) || (isMoney && withMoney);
  const limit = asks ? ` (${ruleAmount(rule.asks, setting.limit)})` : '';
  const is = state.is !== null && asks ? `, it is ${ruleAmount(rule.asks, state.is)}` : '';
  const stands =
    state.holds === null
      ? 'not known yet'
      : state.holds
        ? 'kept'
        : exception
          ? 'not kept, on purpose'
          : 'not kept';
  const why = state.holds === false && exception?.reason ? `: ${exception.reason}` : '';
  return `${rule.name}${limit}: ${stands}${is}${why}`;
}
