import type { MessagePort } from 'node:worker_threads';
import type { Compiled, MakeUpPlan, Programme, Saved } from '@/core/make-up';

/**
 * What a thread does: `search` looks for plans and then solves parts of the best one exactly, `trial` tries choices of
 * donor boxes, `whole` solves the whole programme and proves a floor, `floor` proves one by relaxation alone.
 */
export type Role = 'search' | 'trial' | 'whole' | 'floor';

/** Work for a thread. What is said about it goes through a port of its own, so that nothing of an earlier one gets in. */
export interface Task {
  readonly role: Role;
  readonly compiled: Compiled;
  readonly seconds: number;
  /** When the whole began, milliseconds since the epoch: waiting for a thread counts too. */
  readonly began: number;
  readonly seed: number;
  readonly port: MessagePort;
}

/** A programme that is solved as it is, for whoever is not making up parts. */
export interface ProgrammeTask {
  readonly role: 'programme';
  readonly programme: Programme;
  readonly seconds: number;
  readonly port: MessagePort;
}

export type ToThread = { readonly say: 'adopt'; readonly saved: Saved } | { readonly say: 'stop' };

export type FromThread =
  | { readonly say: 'better'; readonly saved: Saved; readonly byHand: MakeUpPlan['byHand'] }
  | { readonly say: 'floor'; readonly floor: number }
  | { readonly say: 'proven' }
  | { readonly say: 'values'; readonly values: Float64Array | null; readonly optimal: boolean }
  | { readonly say: 'done' };
