export { CutSearch, firstFitOf } from './cut-search';
export { faultOf } from './fault';
export { cutsOfField } from './cuts';
export { judgeCut } from './judge';
export { spareTries } from './spare-tries';
export { cutPlanSchema, cutRequestSchema } from './problem';
export type { CutOptions, CutPlan, CutProblem, PlacedStrip, UnmetWhy } from './problem';
