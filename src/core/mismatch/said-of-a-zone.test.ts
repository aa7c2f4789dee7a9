import { describe, expect, it } from 'vitest';
import { exposureOf, hiddenOf, setExposure } from '../fading';
import { did, doneAndBack, makeWorkbench, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import { asId, type ColourId } from '../shared/ids';
import { letSchemeBeProposed, setScheme } from './index';
import { schemesOf } from './scheme';
import { seenLots } from './seen-lots';

const WALL = zoneId('Wall');
const slate = el('brick 1x2', 'slate');
const house = () => makeWorkbench({ zones: { Wall: ['8 brick 1x2 slate', '6 brick 1x2 ash'] } });
const schemeOf = (workbench: ReturnType<typeof house>) =>
  schemesOf(workbench, seenLots(workbench)).get(WALL)!;

describe('the scheme of a zone', () => {
  it('is as it was set until it is proposed again', () => {
    const workbench = house();
    const proposed = schemeOf(workbench);
    expect(proposed.set).toBe(false);
    const bark = asId<ColourId>('bark');
    doneAndBack(workbench, setScheme(workbench, WALL, [bark]));
    expect(schemeOf(workbench)).toEqual({ colours: [bark], set: true });
    doneAndBack(workbench, setScheme(workbench, WALL, [bark, asId<ColourId>('ash')]));
    expect(schemeOf(workbench).colours).toHaveLength(2);
    doneAndBack(workbench, letSchemeBeProposed(workbench, WALL));
    expect(schemeOf(workbench)).toEqual(proposed);
    expect(letSchemeBeProposed(workbench, WALL).diff).toEqual({ added: [], changed: [], removed: [] });
  });
});

describe('how much of a lot is seen', () => {
  it('leaves what is not spoken of as it was said', () => {
    const workbench = house();
    doneAndBack(workbench, setExposure(workbench, WALL, slate, 'one side', { hidden: 3 }));
    expect(exposureOf(workbench, WALL, slate)).toMatchObject({ seen: 'one side', hidden: 3 });
    doneAndBack(workbench, setExposure(workbench, WALL, slate, 'one side', { seen: 'hidden' }));
    expect(exposureOf(workbench, WALL, slate)).toMatchObject({ seen: 'hidden', hidden: 3 });
    expect(hiddenOf(workbench, WALL, slate)).toBe(8);
    did(workbench, setExposure(workbench, WALL, slate, 'one side', { seen: 'top', hidden: 99 }));
    expect(hiddenOf(workbench, WALL, slate)).toBe(8);
  });
});
