import { added, grade, stockAccount, joinDiffs, type Diff } from '@/core/ledger';
import {
  asId,
  type BoxOfferId,
  type ColourId,
  type EntryId,
  type KeptAssemblyId,
  type ParcelClaimId,
  type PartId,
  type PoolModelId,
  type WaitingId,
} from '@/core/shared/ids';
import { el, ORDER, TRAYS, BUILD } from '@/core/testing/world';

const ELEMENT = el('plate 2x3', 'chalk');

/** What is said of own parts and of where parts come from, and what is settled. One record of each type. */
export const OWN_PARTS: Diff = joinDiffs(
  added('parcelClaim', {
    id: asId<ParcelClaimId>('pc1'),
    build: BUILD,
    order: ORDER,
    element: ELEMENT,
    grade: grade('new'),
    qty: 2,
    kind: 'wrong',
    foundAt: '2026-11-20',
    askedAt: '2026-11-21',
    answer: 'they will look',
    end: 'refunded',
    refund: 40,
  }),
  added('boxOffer', {
    id: asId<BoxOfferId>('bo1'),
    code: 'T-1',
    setName: 'Tram',
    condition: 'second-hand',
    price: 1450,
    copies: 2,
    seller: 'the market hall',
    days: 3,
  }),
  added('roughlyKnown', { id: 'Bricks|ash', family: 'Bricks', colour: asId('ash'), amount: 'plenty' }),
  added('settings', {
    ...{ id: 'settings', currency: 'EUR', decimal: 'comma', dates: '29.11.2026', units: 'inches' },
    ...{ colourNames: 'plain', letterKeys: false, startPage: 'own parts', surround: 'dark', isDemo: true },
  }),
  added('simulatedClock', { id: 'clock', daysAhead: 12 }),
  added('buildSources', { id: BUILD, build: BUILD, boxesOnly: true, elsewhere: null }),
  added('claimRank', { id: BUILD, rank: 2 }),
  added('waiting', {
    id: asId<WaitingId>('w'),
    element: ELEMENT,
    qty: 3,
    note: 'for the roof',
    at: '2026-11-25',
  }),
  added('keptAssembly', {
    id: asId<KeptAssemblyId>('k'),
    name: 'Lamp table',
    account: stockAccount(TRAYS[0]!),
    lots: [{ element: ELEMENT, qty: 2 }],
  }),
  added('poolModel', {
    id: asId<PoolModelId>('p'),
    build: BUILD,
    name: 'Hut',
    musts: [{ part: asId<PartId>('brick 1x2'), colour: null, qty: 4 }],
    colours: [asId<ColourId>('ash')],
    shares: true,
    place: 2,
    colour: asId<ColourId>('ash'),
    sectionOf: asId<PoolModelId>('whole'),
    isBuilt: true,
  }),
  added('idealPart', {
    id: asId<EntryId>('e'),
    entry: asId<EntryId>('e'),
    build: BUILD,
    element: ELEMENT,
  }),
);
