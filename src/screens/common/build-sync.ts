import { diffOfBuild, Workbench, type BuildSnapshot, type UndoRedo } from '@/core/workbench';
import { conflictWith, invertDiff, placeOf, type Change, type Diff } from '@/core/ledger';
import type { WhatIfId } from '@/core/shared/ids';
import type { Performed } from '@/server/perform';
import type { FeedItem } from '@/data/actions';
import { elsewhereWords } from '../words/refusal';
import { askAround, askSurroundings, isSince } from '../sending/around';
import { askSnapshot } from '../sending/snapshots';
import { nextTurn } from '../sending/turns';
import type { BuildState } from './build-store';
import { fetchSteps, type Steps } from '../sending/feed-client';
import { firstSelection } from './first-selection';

/** How often what is known is asked for before it is left at what the page opened with. */
const MOST_TRIES = 5;
/** How long it waits between them, longer each time, in milliseconds: where nobody answered, and where the answer was too old. */
const UNHEARD_MS = 1000;
const OLDER_MS = 50;

/** What this window shows and has not had answered. */
interface Pending {
  readonly id: string;
  readonly diff: Diff;
  /** Whether it lies on the books: on books that were fetched meanwhile it may not fit. */
  laid: boolean;
}

interface Host {
  readonly get: () => BuildState;
  readonly set: (change: Partial<BuildState>) => void;
}

/**
 * Keeps a window's books in step with the server's. The books are the server's up to a revision, and what this window has
 * not had answered yet lies on top. Whatever arrives is a difference and is carried in as one; only where that does not
 * fit is the whole fetched anew.
 */
export class BuildSync {
  /** Differences that are shown and not answered yet, in the order in which they were made. */
  private pending: Pending[] = [];
  /** Requests of this window: their steps are no news to it. */
  private readonly mine = new Set<string>();
  private steps: Promise<unknown> = Promise.resolve();
  /** The highest revision among what this window did and was answered for: books from before it are too old. */
  private answered = 0;
  private learning: Promise<void> | undefined;

  constructor(
    private snapshot: BuildSnapshot,
    private readonly host: Host,
  ) {}

  own(request: string): void {
    this.mine.add(request);
  }

  /** Shows a difference at once. */
  show(id: string, diff: Diff): void {
    this.mine.add(id);
    this.pending.push({ id, diff, laid: true });
    this.host.get().workbench.apply(diff);
    this.changed();
  }

  /** What was shown was carried out, perhaps with other numbers. */
  async accept(id: string, done: Performed): Promise<void> {
    const sent = this.pending.find((p) => p.id === id);
    this.pending = this.pending.filter((p) => p.id !== id);
    this.answered = Math.max(this.answered, done.revision);
    // Books that were fetched meanwhile have it, and what became of it since: it must not lie on top of them again.
    if (this.isInBooks(done)) await this.reload();
    else if (sent?.laid) await this.carry(renumbering(sent.diff, done.diff));
    else if (sent) await this.carry(done.diff);
    this.setUndoRedo(done.undoRedo);
  }

  /** What was shown was not carried out. */
  async takeBack(id: string): Promise<void> {
    const sent = this.pending.find((p) => p.id === id);
    this.pending = this.pending.filter((p) => p.id !== id);
    // What was logged on top of it may not fit without it: then the whole is fetched, and laid under what is left.
    if (sent?.laid && !(await this.carry(invertDiff(sent.diff)))) return;
    await this.catchUp();
    await this.refreshUndoRedo();
  }

  /** Asks what happened since; a window that hears of it as it happens has nothing to do. */
  async catchUp(): Promise<void> {
    const missed = await fetchSteps(this.host.get().revision);
    if (missed) await this.takeSteps(missed);
    else await this.reload();
  }

  /** An undo or redo of this window was carried out. */
  async sendUndo(done: Performed): Promise<void> {
    this.answered = Math.max(this.answered, done.revision);
    if (!this.isInBooks(done)) await this.carry(done.diff);
    if (touchesOwnParts(done.diff)) await this.freshenBackground();
    this.setUndoRedo(done.undoRedo);
  }

  /** Whether the books that were fetched last have it: the answer came after them. */
  private isInBooks = (done: Performed): boolean => done.revision <= this.snapshot.revision;

  /** Takes in what happened elsewhere, one delivery after another. */
  takeSteps(steps: Steps): Promise<void> {
    const taken = this.steps.then(() => this.takeDelivery(steps));
    this.steps = taken.catch(() => undefined);
    return taken;
  }

  private async takeDelivery({ workspace, revision, steps }: Steps): Promise<void> {
    if (workspace !== this.snapshot.workspace || !steps) return this.reload();
    const seen = this.host.get().revision;
    if (revision <= seen) return;
    const news = steps.filter((s) => s.revision > seen);
    if (news[0] && news[0].revision > seen + 1) {
      const missed = await fetchSteps(seen);
      if (missed) await this.takeDelivery(missed);
      return;
    }
    const others = news.filter((s) => !this.mine.has(s.request));
    for (const step of others) if (!(await this.carry(step.diff))) return this.tellOf(others);
    this.host.set({ revision: Math.max(this.host.get().revision, revision) });
    const { build } = this.host.get().workbench;
    if (others.some((s) => s.scopes.includes(build) || touchesOwnParts(s.diff)))
      await this.freshenBackground();
    this.tellOf(others);
  }

  /** Only what concerns this build, or the whole workspace as it shows here, is said. */
  private tellOf(steps: readonly FeedItem[]): void {
    const { build } = this.host.get().workbench;
    const told = steps.filter((s) => s.scopes.includes(build));
    if (told.length > 0) this.say(elsewhereWords(told));
  }

  /** Says what happened elsewhere, behind what of that has not been read yet. */
  say(text: string): void {
    const { notice } = this.host.get();
    const before = notice?.kind === 'elsewhere' && notice.text.length < 300 ? `${notice.text} ` : '';
    this.host.set({ notice: { text: `${before}${text}`, kind: 'elsewhere' } });
  }

  /** Carries a difference into the books; where it does not fit the whole is fetched instead. True when it fitted. */
  private async carry(whole: Diff): Promise<boolean> {
    const { workbench } = this.host.get();
    const diff = diffOfBuild(whole, workbench.build);
    if (diff.added.length + diff.changed.length + diff.removed.length === 0) return true;
    if (conflictWith(workbench.records, diff)) {
      await this.reload();
      return false;
    }
    workbench.apply(diff);
    this.changed();
    return true;
  }

  private setUndoRedo(undoRedo: UndoRedo): void {
    // What is waiting to be sent will be the last: the button already says so.
    if (this.pending.length === 0) this.host.set({ undoRedo });
  }

  private async refreshUndoRedo(): Promise<void> {
    if (this.pending.length === 0) await this.freshenBackground();
  }

  /** Asks what other builds and own parts leave this one, and what undo and redo turn. */
  private async freshenBackground(): Promise<void> {
    const { workbench } = this.host.get();
    const now = await askSurroundings(workbench.build);
    if (!now || this.host.get().workbench !== workbench) return;
    workbench.takeSurroundings(now.surroundings);
    this.setUndoRedo(now.undoRedo);
    this.changed();
  }

  /** Asks for what the whole workspace knows and has, beside what the page opened with. Once, until it is there. */
  learn(): Promise<void> {
    this.learning ??= this.fetchKnowledge().finally(() => (this.learning = undefined));
    return this.learning;
  }

  private async fetchKnowledge(): Promise<void> {
    for (let tries = 1; !this.host.get().workbench.isComplete && tries <= MOST_TRIES; tries++) {
      const { workbench } = this.host.get();
      const around = await askAround(workbench.build);
      // Another bench may have taken its place meanwhile, which knows as little.
      if (this.host.get().workbench !== workbench) continue;
      // This one may have heard of more; a browser without the network has nothing newer, and that is better than nothing.
      const isGood = around && (tries === MOST_TRIES || isSince(around, this.host.get().revision));
      if (!isGood) {
        await new Promise((done) => setTimeout(done, (around ? OLDER_MS : UNHEARD_MS) * tries));
        continue;
      }
      workbench.takeKnowledge(around.knowledge, around.surroundings);
      // To take it in and to draw it anew are long enough each.
      await nextTurn();
      this.changed();
    }
  }

  /** Takes the books as the server has them, and lays what is not answered yet on top. */
  async reload(): Promise<void> {
    const before = this.host.get();
    const fresh = await askSnapshot(before.workbench.build);
    if (!fresh) return;
    // Something of this window was answered while they were on their way, and is told by nobody else.
    const same = fresh.workspace === this.snapshot.workspace;
    if (same && fresh.revision < this.answered) return this.reload();
    // A workspace that was put back counts from where it was.
    if (!same) this.answered = 0;
    this.snapshot = fresh;
    const workbench = new Workbench(fresh, before.workbench.whatIf);
    for (const p of this.pending) {
      p.laid = !conflictWith(workbench.records, p.diff);
      if (p.laid) workbench.apply(p.diff);
    }
    const now = this.host.get();
    const there = (id: string) => workbench.records.entry.has(id);
    this.host.set({
      workbench,
      version: now.version + 1,
      revision: fresh.revision,
      selected:
        now.selected && workbench.records.modification.has(now.selected)
          ? now.selected
          : firstSelection(fresh),
      marked: new Set([...now.marked].filter(there)),
      editing: now.editing && there(now.editing) ? now.editing : null,
    });
    this.setUndoRedo(fresh.undoRedo);
    await this.learn();
  }

  /** The same books with another what-if, or none, among what is planned. */
  openWith(whatIf: WhatIfId | null): void {
    const { workbench, revision } = this.host.get();
    const records = workbench.recordList();
    this.host.set({ workbench: new Workbench({ ...workbench.snapshotNow, records, revision }, whatIf) });
    this.changed();
  }

  private changed(): void {
    this.host.set({ version: this.host.get().version + 1 });
  }
}

/** Whether a difference changes what lies in trays, for others than its own build too. */
const touchesOwnParts = (diff: Diff): boolean =>
  [
    ...diff.added,
    ...diff.removed,
    ...diff.changed.flatMap((c) => [c.from, c.to].map((record) => ({ record }))),
  ].some(
    ({ record }) =>
      'movements' in record &&
      record.movements.some((m) => placeOf(m.from) === 'stock' || placeOf(m.to) === 'stock'),
  );

/** What the server numbered otherwise than this window had: a change of the records as they are shown. */
function renumbering(sent: Diff, kept: Diff): Diff {
  const now = new Map(kept.added.map((r) => [`${r.type} ${r.record.id}`, r]));
  const changed = sent.added.flatMap((r): Change[] => {
    const other = now.get(`${r.type} ${r.record.id}`);
    const same = !other || !('no' in other.record && 'no' in r.record) || other.record.no === r.record.no;
    return same ? [] : [{ type: r.type, from: r.record, to: other.record } as Change];
  });
  return { added: [], changed, removed: [] };
}
