import type { MessagePort } from 'node:worker_threads';
import type { LayPlan, LayProblem, LayScore } from '@/core/fit/lay';
import type { CutPlan, CutProblem } from '@/core/stickers/cutting';
import type { BuyingPlan, LinearModel, ProblemFault, Saved } from '@/core/sourcing';

/**
 * What a thread does: `search` looks for plans and then solves what is around the best one exactly, `around` does the same
 * where time is short, `trial` tries choices of donor boxes, `whole` solves the whole linear model and proves a floor,
 * `floor` proves one by relaxation alone, `steps` searches for so many steps and no longer.
 */
export type Role = 'search' | 'around' | 'trial' | 'whole' | 'floor' | 'steps';

/** A request as it came: the threads read it themselves, so that however large it is nobody else waits for it. */
export interface Asked {
  readonly bytes: SharedArrayBuffer;
  /** Names the bytes, so that a thread that has read them once need not again. */
  readonly key: string;
}

/** Work for a thread. What is said about it goes through a port of its own, so that nothing of an earlier one gets in. */
export interface Task extends Asked {
  readonly role: Role;
  readonly seconds: number;
  /** When the whole began, milliseconds since the epoch: waiting for a thread counts too. */
  readonly began: number;
  readonly seed: number;
  /** For `steps`: how many. */
  readonly iterations: number;
  readonly port: MessagePort;
}

/** Reads a request and checks it, before anything is solved. */
export interface ReadTask extends Asked {
  readonly role: 'read';
  readonly port: MessagePort;
}

/** A linear model that is solved as it is, for whoever is not making up parts. */
export interface LinearModelTask {
  readonly role: 'linear model';
  readonly linearModel: LinearModel;
  readonly seconds: number;
  readonly port: MessagePort;
}

/** A wall or a floor to be laid: `search` lays windows anew, `whole` solves the whole and proves it. */
export interface LayTask {
  readonly role: 'lay';
  readonly way: 'search' | 'whole';
  readonly problem: LayProblem;
  readonly seconds: number;
  readonly began: number;
  readonly seed: number;
  /** Windows that are laid anew; 0 = as many as there is time for. */
  readonly iterations: number;
  readonly port: MessagePort;
}

/** Strips to be cut from what is left of sticker sheets. */
export interface CutTask {
  readonly role: 'cut';
  readonly problem: CutProblem;
  readonly seconds: number;
  readonly began: number;
  readonly seed: number;
  /** Steps of the search; 0 = as many as there is time for. */
  readonly iterations: number;
  readonly port: MessagePort;
}

export type AnyTask = Task | ReadTask | LinearModelTask | LayTask | CutTask;

/** Why a request is not solved. */
export type RequestFault =
  | { readonly refused: 'not json' }
  | { readonly refused: 'shape'; readonly where: string; readonly says: string }
  | ProblemFault;

export interface ReadOptions {
  readonly seconds?: number | undefined;
  readonly seed?: number | undefined;
  readonly iterations?: number | undefined;
}

export type ToThread =
  | { readonly say: 'adopt'; readonly saved: Saved }
  | { readonly say: 'adopt laid'; readonly laid: readonly number[] }
  | { readonly say: 'stop' };

export type FromThread =
  | { readonly say: 'read'; readonly fault: RequestFault }
  | {
      readonly say: 'read';
      readonly fault: null;
      readonly offers: number;
      readonly options: ReadOptions;
      /** SHA-256 of the problem's text, its options left out. */
      readonly print: string;
    }
  | {
      readonly say: 'better';
      readonly saved: Saved;
      readonly plan: BuyingPlan;
      /** True where none can meet more: it leaves only unmet what nobody has, or it was proven. */
      readonly whole: boolean;
    }
  | {
      readonly say: 'laid';
      readonly laid: readonly number[];
      readonly score: LayScore;
      readonly plan: LayPlan;
    }
  | {
      readonly say: 'least money';
      readonly unfilled: number;
      readonly joints: number;
      readonly money: number;
    }
  | { readonly say: 'cut'; readonly plan: CutPlan }
  | { readonly say: 'floor'; readonly floor: number }
  | { readonly say: 'proven' }
  | { readonly say: 'values'; readonly values: Float64Array | null; readonly optimal: boolean }
  | { readonly say: 'done' };

/** What a thread says of itself when it has become warm, and after each task. */
export interface AtRest {
  /** What it keeps of the memory that it once needed. */
  readonly bytes: number;
}
