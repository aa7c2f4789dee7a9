import type { Surroundings, UndoRedo } from '@/core/workbench';
import type { BuildId } from '@/core/shared/ids';
import type { SaidKnowledge, SaidSurroundings } from '@/server/snapshot';
import { had } from './answers';
import { openingPaths } from './opening-paths';

/** What others leave a build, and what its undo and redo turn, as of a step. */
interface Left {
  readonly surroundings: Surroundings;
  readonly undoRedo: UndoRedo;
  readonly revision: number;
  /** The last step then that changed what the whole workspace knows. */
  readonly knownSince: number;
}

/** The same with what the whole workspace knows: all that a build needs beside its own records. */
export interface Around extends Left {
  readonly knowledge: SaidKnowledge;
}

/** What others leave a build; undefined when it could not be had. */
export async function askSurroundings(build: BuildId): Promise<Left | undefined> {
  const said = await had<SaidSurroundings>(() => fetch(openingPaths(build).surroundings));
  if (!said) return undefined;
  const { undoRedo, revision, knownSince, ...surroundings } = said;
  return { surroundings, undoRedo, revision, knownSince };
}

/** What a build needs beside its own records; undefined when a part of it could not be had. */
export async function askAround(build: BuildId): Promise<Around | undefined> {
  const [knowledge, left] = await Promise.all([
    had<SaidKnowledge>(() => fetch(openingPaths(build).knowledge)),
    askSurroundings(build),
  ]);
  return knowledge && left && { ...left, knowledge };
}

/** Whether it was answered at a step or after it, so that nothing up to there is missing. */
export const isSince = ({ knowledge, revision, knownSince }: Around, step: number): boolean =>
  revision >= step && knowledge.since >= knownSince;
