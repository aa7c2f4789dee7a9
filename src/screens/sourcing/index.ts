export { BuyingPlanView } from './buying-plan-view';
export { useSourcing, type SourcingTools } from './use-sourcing';
export { ClosingBounds } from './closing-bounds';
export type { Bound } from './plan-need';
