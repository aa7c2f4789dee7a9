export { FAMILIES, GENERAL, GROUPS } from './families';
export type { Family, PartGroup, SolidName } from './families';
export { elementKey, elementName, inColour, splitElementKey } from './part';
export type { ElementKey, Part } from './part';
export { partOf, readPartName, singular } from './read-part-name';
export type { ReadName } from './read-part-name';
export { byElementName, elementSearch } from './search';
export { drawPart } from './solids/draw';
export type { Drawing, DrawnFace } from './solids/draw';
