import { lotsOf, type DemoSet } from './set-text';

/** A tram of many windows: two of them make a glasshouse. */
export const nightTram: DemoSet = {
  code: 'HW 2214',
  name: 'Night Tram Nine',
  maker: 'Hollin & Wake',
  year: 2018,
  lots: lotsOf(`
[Tram]
16 window 1x2x2 kelp
16 pane 1x2x2 clear-lamp
8 window 1x4x3 kelp
8 pane 1x4x3 clear
14 brick 1x2 kelp
10 brick 1x4 kelp
8 brick 1x4 dune
12 plate 1x4 kelp
10 plate 2x4 slate
6 plate 4x8 slate
12 tile 1x4 dune
6 tile 2x4 slate
8 slope 33 3x1 kelp
4 slope 33 3x2 kelp
6 round brick 1x1 brass
10 round plate 1x1 amber
8 bar 1x4 brass
4 fence 1x4 brass
4 wheel 2x2 soot
2 door 1x3x4 kelp
3 plate 1x2 brass
2 tile 2x2 chalk (line nine)
2 figure sailor midnight
+2 round plate 1x1 amber
`),
};
