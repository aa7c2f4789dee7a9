import type { ElementKey } from '../parts';
import type { ZoneId } from '../shared/ids';

/** The key of what is said of the pieces of an element in a zone: lotKey('z', 'plate 1x2|ash') = 'z|plate 1x2|ash'. */
export const lotKey = (zone: ZoneId, element: ElementKey): string => `${zone}|${element}`;
