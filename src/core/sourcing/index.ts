export type {
  BuyingPlan,
  Problem,
  ProblemDonor,
  ProblemElement,
  ProblemId,
  ProblemLot,
  ProblemOffer,
  ProblemSeller,
} from './problem';
export { planSchema, problemFault, problemSchema, requestSchema } from './schema';
export type { ProblemFault } from './schema';
export { compile } from './compile';
export type { Compiled } from './compile';
export { planOf } from './plan';
export { solveBySteps, Solver } from './solver';
export type { SolverOptions } from './solver';
export { modelOf } from './milp';
export type { SourcingModel } from './milp';
export { divisionModel, NEAR, narrowed } from './division';
export type { Relaxed } from './division';
export { ModelBuilder } from './linear-model';
export type { LinearModel } from './linear-model';
export { partModel } from './part-model';
export { reachableNeed } from './reachable';
export { cheapestEach } from './by-hand';
export { scoreOf, State } from './state';
export type { Saved } from './state';
