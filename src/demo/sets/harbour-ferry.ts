import { lotsOf, type DemoSet } from './set-text';

export const harbourFerry: DemoSet = {
  code: 'HW 3270',
  name: 'Harbour Ferry Skerry',
  maker: 'Hollin & Wake',
  year: 2003,
  lots: lotsOf(`
[Hull]
2 hull 4x8x2 chalk
18 brick 2x4 chalk
22 brick 1x4 chalk
12 slope 45 2x2 chalk
14 plate 2x8 harbour
6 wedge plate 3x6 harbour
8 plate 4x6 soot
[Car deck]
12 plate 4x8 ash
18 tile 2x4 ash
10 tile 1x4 gorse
8 fence 1x4 chalk
2 stairs 4x4 ash
[Saloon]
14 window 1x4x2 chalk
14 pane 1x4x2 clear-smoke
20 brick 1x2 chalk
12 brick 1x1 harbour
16 tile 2x2 bark
8 round plate 1x1 ember
[Bridge]
6 panel 1x4x2 clear-smoke
9 slope 45 2x1 chalk
8 plate 2x4 chalk
4 dish 2x2 tin
2 bar 1x4 soot
4 round brick 2x2 brick-red
2 flag 2x2 brick-red
2 tile 1x4 chalk (name skerry)
1 tile 2x2 chalk (harbour chart)
3 figure sailor deep
4 wheel 2x2 soot
+1 round plate 1x1 ember
+1 pane 1x4x2 clear-smoke
`),
};
