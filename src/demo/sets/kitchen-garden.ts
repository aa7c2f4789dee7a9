import { lotsOf, type DemoSet } from './set-text';

/** A walled kitchen garden, long out of the shops: much of what it is made of was never sold in anything else. */
export const kitchenGarden: DemoSet = {
  code: 'HW 1187',
  name: 'Kitchen Garden',
  maker: 'Hollin & Wake',
  year: 2013,
  lots: lotsOf(`
[Wall]
18 brick 1x2 flint
12 plate 1x2 flint
8 plate 2x3 flint
6 tile 2x2 flint
11 slope 33 3x1 slate
20 slope 33 3x1 flint
9 fence 1x4 slate
[Glass lean-to]
14 brick 1x3 oyster
26 plate 1x6 oyster
10 tile 1x3 oyster
9 tile 2x2 oyster
22 tile 1x6 kelp
9 slope 33 3x1 kelp
[Beds]
16 brick 2x2 cocoa
8 brick 2x3 cocoa
28 plate 1x3 cocoa
6 plate 2x3 fern
11 plate 2x8 fern
20 slope 33 3x1 dune
12 plant 2x2 fern
20 round brick 2x2 leek
2 figure gardener leek
+2 plate 1x3 cocoa
`),
};
