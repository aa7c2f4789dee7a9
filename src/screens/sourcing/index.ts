export { BuyingPlanView } from './buying-plan-view';
export { useSourcing, type SourcingTools } from './use-sourcing';
