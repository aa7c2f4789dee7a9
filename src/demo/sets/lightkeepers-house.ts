import { lotsOf, type DemoSet } from './set-text';

/** 412 pieces, with the mismatches that its owners see: coral in the red band, dove among ash, straw among dune. */
export const lightkeepersHouse: DemoSet = {
  code: 'HW 4120',
  name: "Lightkeeper's House",
  maker: 'Hollin & Wake',
  year: 2014,
  lots: lotsOf(`
[Tower]
24 brick 1x2 chalk
16 brick 1x4 chalk
26 brick 1x1 chalk
14 brick 2x4 brick-red
8 brick 1x2 brick-red
6 slope 45 1x2 coral
10 plate 2x3 ash
4 round brick 2x2 soot
3 window 1x2x2 chalk
3 pane 1x2x2 clear
7 plate 1x3 chalk
[Tower foot]
18 brick 1x2 slate
12 brick 1x4 ash
2 brick 1x4 dove
10 slope 45 2x2 slate
8 brick 2x3 ash
12 plate 2x4 slate
5 plate 1x2 kelp
[Gallery]
12 tile 1x4 ash
8 fence 1x4 soot
9 plate 1x4 bark
4 arch 1x4 ash
8 round plate 1x1 amber
6 tile 1x2 bark
8 plate 1x1 ash
[Lamp room]
4 panel 1x2x2 clear-lamp
2 dish 4x4 soot
6 plate 1x2 brass
1 cone 1x1 clear-lamp
4 round plate 2x2 soot
[House front]
19 brick 1x4 dune
3 brick 1x4 straw
14 brick 1x2 dune
5 window 1x2x2 chalk
5 pane 1x2x2 clear-sky
10 slope 45 2x2 brick-red
12 slope 45 2x1 brick-red
2 boat door 1x6 deep
4 shutter 1x2x2 kelp
1 door 1x3x4 bark
5 tile 1x6 dune
6 brick 1x1 dune
6 plate 1x6 bark
8 tile 1x2 chalk
[Quay]
2 baseplate 16x16 ash
16 plate 2x4 ash
8 plate 2x6 dune
9 tile 2x2 soot
6 round brick 1x1 soot
4 round plate 1x1 coral
3 plate 1x1 clear-sky
1 figure keeper harbour
1 animal gull chalk
1 tile 2x2 chalk (harbour chart)
1 tile 1x2 dune (name board)
+1 round plate 1x1 amber
+1 plate 1x1 clear-sky
+1 cone 1x1 clear-lamp
+1 round plate 1x1 coral
`),
};
