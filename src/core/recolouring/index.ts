export { affordableColours } from './afford';
export type { ColourOffer, WantedShape } from './afford';
export { mapName, planRecolour, planSteps, stepCosts } from './recolour';
export type { ColourMap, LeftBecause, LeftLot, RecolourPlan } from './recolour';
