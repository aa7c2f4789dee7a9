import type { MakeUpPlan, Problem, Saved } from '@/core/make-up';

/**
 * What a thread does: `search` looks for plans and then solves parts of the best one exactly, `trial` tries choices of
 * donor boxes, `whole` solves the whole programme and proves a floor.
 */
export type Role = 'search' | 'trial' | 'whole';

export type ToThread =
  | {
      readonly say: 'solve';
      readonly run: number;
      readonly role: Role;
      readonly problem: Problem;
      readonly seconds: number;
      /** When the whole began, milliseconds since the epoch: starting a thread counts too. */
      readonly began: number;
      readonly seed: number;
    }
  | { readonly say: 'adopt'; readonly run: number; readonly saved: Saved }
  | { readonly say: 'stop'; readonly run: number };

export type FromThread =
  | { readonly say: 'better'; readonly run: number; readonly saved: Saved; readonly plan: MakeUpPlan }
  | { readonly say: 'floor'; readonly run: number; readonly floor: number }
  | { readonly say: 'proven'; readonly run: number }
  | { readonly say: 'done'; readonly run: number };
