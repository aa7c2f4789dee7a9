'use client';

import { printElement } from '@/core/log-line';
import type { LineReading, ReadClause } from '@/core/workbench';
import { offPieces, onPieces, placeOf, zoneOf, type DraftProblem, type Entry } from '@/core/ledger';
import { elementName, splitElementKey, type ElementKey } from '@/core/parts';
import { Glyph } from '@/ui/glyph';
import { MARK_OF } from '@/ui/mark';
import { signed, priced } from '@/ui/numbers';
import { draftProblemWords, lineProblemWords, unknownWords } from '../words/log-line';
import type { AssemblyId } from '@/core/shared/ids';
import { howOften } from '@/core/stock';
import { useBuild } from '../common/build-store';
import { useNeverMade } from '../common/use-register';
import { differenceWords } from '../words/colour';
import { howOftenWords } from './again-dialog';
import { kindsWords, sourceWords } from '../words/entry-words';

interface UnderstoodProps {
  readonly reading: LineReading | null;
  readonly line: string;
  readonly onChoose: (line: string) => void;
}

/** Under the line: what was understood, drawn, and what it does; or the first thing in the way. */
export function Understood({ reading, line, onChoose }: UnderstoodProps) {
  const records = useBuild((s) => s.workbench.records);
  if (!reading)
    return (
      <span className="text-faint text-[12px]">
        - off, + on, ~ recolour, % renew, &gt; move, ? placeholder, ! missing, * replaced.{' '}
        <span className="pointer-coarse:hidden">F1 shows all keys.</span>
      </span>
    );
  const problem = reading.problems[0];
  if (problem) return <Trouble text={lineProblemWords(problem)} />;
  return (
    <>
      <div className="flex min-w-0 flex-1 flex-wrap items-center gap-x-4">
        {reading.clauses.map((c, i) => (
          <ClauseSays
            key={i}
            clause={c}
            line={line}
            onChoose={onChoose}
            trouble={c.problem ? draftProblemWords(c.problem, records) : null}
          />
        ))}
      </div>
      {reading.effect && (
        <b className="whitespace-nowrap">
          net {signed(reading.effect.alone.net)} ·{' '}
          {priced(reading.effect.alone.outOfPocket, reading.effect.alone.boughtUnpriced)}
        </b>
      )}
    </>
  );
}

const Trouble = ({ text }: { text: string }) => (
  <span role="alert" className="font-medium">
    <span aria-hidden>▲ </span>
    {text}
  </span>
);

interface SaysProps {
  readonly clause: ReadClause;
  readonly trouble: string | null;
  readonly line: string;
  readonly onChoose: (line: string) => void;
}

function ClauseSays({ clause, trouble, line, onChoose }: SaysProps) {
  const u = clause.understood;
  if (trouble)
    return (
      <span className="flex flex-wrap items-center gap-1">
        <Trouble text={trouble} />
        {clause.problem && (
          <OtherZones problem={clause.problem} onChoose={(zone) => onChoose(inZone(line, u, zone))} />
        )}
      </span>
    );
  if (u.status === 'unknown')
    return (
      <Choices
        text={unknownWords(u)}
        list={u.suggestions}
        onChoose={(e) =>
          onChoose(splice(line, u.at, e, u.why === 'unread words' && e === u.suggestions.at(-1)))
        }
        {...(u.why === 'unread words' ? { last: 'yes: ' } : {})}
      />
    );
  if (u.status === 'ambiguous')
    return <Choices text="Which one?" list={u.choices} onChoose={(e) => onChoose(splice(line, u.at, e))} />;
  if (u.status === 'assembly')
    return (
      <span>
        assembly <b>{u.name}</b> of {u.lots.reduce((s, l) => s + l.qty, 0)} pieces
      </span>
    );
  if (!clause.entry) return null;
  return (
    <>
      <EntrySays entry={clause.entry} />
      <NeverMade entry={clause.entry} line={line} at={u} onChoose={onChoose} />
      {clause.entry.assembly && <AssemblySays assembly={clause.entry.assembly} entry={clause.entry} />}
    </>
  );
}

/** The element that an entry puts on and that nobody has: it comes from outside, or from own parts that nobody counted. */
const strange = (entry: Entry): ElementKey | null =>
  entry.movements.find((m) => zoneOf(m.to) && ['outside', 'own'].includes(placeOf(m.from)))?.element ?? null;

interface NeverMadeProps {
  readonly entry: Entry;
  readonly line: string;
  readonly at: { readonly start: number; readonly end: number };
  readonly onChoose: (line: string) => void;
}

/** Says before Enter that a part was never made in its colour, and which colour would do: it can be logged all the same. */
function NeverMade({ entry, line, at, onChoose }: NeverMadeProps) {
  const workbench = useBuild((s) => s.workbench);
  const element = strange(entry);
  const never = useNeverMade(workbench, element);
  if (!element || !never) return null;
  const { colour } = splitElementKey(element);
  const clause = line.slice(at.start, at.end);
  return (
    <span className="flex flex-wrap items-center gap-1" role="status">
      <b>▲ {elementName(element)} was never made.</b>
      {never.near.map((n) => (
        <button
          key={n.colour.id}
          type="button"
          onClick={() =>
            onChoose(
              `${line.slice(0, at.start)}${withColour(clause, colour, n.colour.id)}${line.slice(at.end)}`,
            )
          }
          className="border-edge hover:border-ink min-h-7 rounded-md border px-1.5"
        >
          {n.colour.name}, {differenceWords(n.deltaE)}
        </button>
      ))}
    </span>
  );
}

/** A clause with another colour for the last place where the first is named; as it is where it is named otherwise. */
function withColour(clause: string, from: string, to: string): string {
  const cut = clause.toLowerCase().lastIndexOf(from.toLowerCase());
  return cut < 0 ? clause : `${clause.slice(0, cut)}${to}${clause.slice(cut + from.length)}`;
}

/** How often an assembly can be placed from what is at hand, said before it is placed. */
function AssemblySays({ assembly, entry }: { assembly: AssemblyId; entry: Entry }) {
  const workbench = useBuild((s) => s.workbench);
  const named = workbench.records.assembly.get(assembly);
  if (!named || onPieces(entry).length === 0) return null;
  return <span className="text-soft">{howOftenWords(howOften(workbench, named.lots))}</span>;
}

/** Zones that have the part, to take it from there. */
function OtherZones({ problem, onChoose }: { problem: DraftProblem; onChoose: (zone: string) => void }) {
  const zones = useBuild((s) => s.workbench.records.zone);
  if (problem.reason !== 'not on the model') return null;
  const there = problem.elsewhere.flatMap((w) => {
    const id = zoneOf(w.account);
    const name = id && id !== problem.zone ? zones.get(id)?.name : undefined;
    return name && w.qty >= problem.wanted ? [name] : [];
  });
  return there.slice(0, 3).map((name) => (
    <button
      key={name}
      type="button"
      onClick={() => onChoose(name)}
      className="border-edge hover:border-ink min-h-7 rounded-md border px-1.5"
    >
      take from <bdi>{name}</bdi>
    </button>
  ));
}

const inZone = (line: string, at: { end: number }, zone: string): string =>
  `${line.slice(0, at.end)} @"${zone.replace(/[\\"]/g, '\\$&')}"${line.slice(at.end)}`;

const splice = (
  line: string,
  at: { start: number; end: number },
  element: ElementKey,
  asItStands = false,
): string => `${line.slice(0, at.start)}${printElement(element, asItStands)}${line.slice(at.end)}`;

interface ChoicesProps {
  readonly text: string;
  readonly list: readonly ElementKey[];
  readonly onChoose: (e: ElementKey) => void;
  /** Said before the last choice. */
  readonly last?: string;
}

function Choices({ text, list, onChoose, last = '' }: ChoicesProps) {
  return (
    <span className="flex flex-wrap items-center gap-1">
      <Trouble text={text} />
      {list.slice(0, 8).map((e) => (
        <button
          key={e}
          type="button"
          onClick={() => onChoose(e)}
          className="border-edge hover:border-ink flex items-center gap-1 rounded-md border px-1.5"
        >
          <Glyph element={e} size={26} />
          {e === list.at(-1) && last}
          {elementName(e)}
        </button>
      ))}
    </span>
  );
}

function EntrySays({ entry }: { entry: Entry }) {
  const records = useBuild((s) => s.workbench.records);
  const [off, on] = [offPieces(entry), onPieces(entry)];
  const several = entry.kind === 'swap' && off.length + on.length > 2;
  const main = on[0] ?? off[0];
  if (!main) return null;
  const was = entry.kind === 'recolour' || entry.kind === 'replacement' ? off[0]?.element : undefined;
  return (
    <span className="flex items-center gap-1.5">
      {entry.kind === 'swap' &&
        off.map((p) => <Glyph key={p.element} element={p.element} mark="out" size={28} />)}
      <Glyph
        element={main.element}
        mark={entry.kind === 'swap' ? 'in' : MARK_OF[entry.kind]}
        was={was}
        size={28}
      />
      <span>
        {several ? `${kindsWords(off)} for ${kindsWords(on)}` : elementName(main.element)}
        <span className="text-soft">, {sourceWords(entry, records)}</span>
      </span>
    </span>
  );
}
