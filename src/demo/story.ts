/** One step of the demo's story: a modification with its lines, or something done to what was logged before. */
export type Step =
  | {
      readonly do: 'modification';
      readonly title: string;
      readonly zone: string;
      readonly phase?: string;
      readonly why?: string;
      readonly note?: string;
      readonly lines: readonly string[];
    }
  | { readonly do: 'place'; readonly match: string; readonly steps?: number }
  | {
      readonly do: 'order';
      readonly modification: string;
      readonly seller: string;
      readonly postage: number;
      readonly due: string;
    }
  | {
      readonly do: 'whatIf';
      readonly name: string;
      readonly modification: string;
      readonly lines: readonly string[];
    };

/** The lightkeeper's house, worked on for a while. Every line is a call line, so the books make the figures. */
export const LIGHTKEEPERS_STORY: readonly Step[] = [
  {
    do: 'modification',
    title: 'Count it in',
    zone: 'Whole model',
    phase: 'Put right',
    why: 'What was not in the box.',
    lines: [
      '!2 pane 1x2x2 clear-sky @house front #missing',
      '!1 figure keeper harbour @quay #missing',
      '*2 pane 1x2x2 clear-sky @house front #missing at 0.18 used',
    ],
  },
  {
    do: 'modification',
    title: 'Even out the stonework',
    zone: 'Tower foot',
    phase: 'Put right',
    why: 'Two greys in one wall.',
    lines: ['~18 brick 1x2 slate > ash #slip'],
  },
  {
    do: 'modification',
    title: 'Plank the gallery',
    zone: 'Gallery',
    phase: 'Put right',
    lines: [
      '-4 tile 1x4 ash, +8 tile 1x4 bark, +4 tile 1x2 bark #style',
      '-2 plate 1x4 bark / +4 tile 1x2 bark',
    ],
  },
  {
    do: 'modification',
    title: 'Carry the stair down to a boathouse',
    zone: 'Quay',
    phase: 'Grow',
    why: 'The door opened onto nothing.',
    note: 'Rock face first, then the slip, then the doors.',
    lines: [
      '-4 slope 45 2x2 slate @tower foot #fit "rock face cut back for the slip"',
      '+24 brick 1x4 ash from stores "quay wall, laid across the joints"',
      '+10 brick 1x2 slate hidden from spares "core of the quay"',
      '+6 plate 2x4 ash hidden at 0.05 "under the slip"',
      '+3 window 1x2x2 chalk at 0.95',
      '?5 brick 1x2 amber for dune at 0.09',
      '+20 tile 1x2 bark plan "treads"',
      '+8 slope 45 2x1 slate plan #fit',
    ],
  },
  { do: 'place', match: 'treads', steps: 8 },
  {
    do: 'modification',
    title: 'Boat doors that match',
    zone: 'House front',
    phase: 'Grow',
    why: 'One pair of blue doors on a green-trimmed house.',
    lines: ['~2 boat door 1x6 deep > kelp #slip plan'],
  },
  {
    do: 'order',
    modification: 'Boat doors that match',
    seller: 'Marram Parts',
    postage: 240,
    due: '2026-12-09',
  },
  {
    do: 'modification',
    title: 'Refresh the sun-struck bands',
    zone: 'Tower',
    phase: 'Put right',
    lines: ['%9 brick 1x1 chalk #faded from stores'],
  },
  {
    do: 'modification',
    title: 'Hang the storm shutters',
    zone: 'House front',
    phase: 'Grow',
    lines: ['+6 shutter 1x2x2 kelp, +12 round plate 1x1 soot from stores #style'],
  },
  {
    do: 'modification',
    title: 'Lamp table, lifted out whole',
    zone: 'Lamp room',
    phase: 'Grow',
    lines: [
      '=[Lamp table] 2 dish 4x4 soot & 4 round plate 2x2 soot',
      '>[Lamp table] : "Lamp room" to gallery',
      '-2 plate 1x2 brass to bin #weak',
    ],
  },
  {
    do: 'modification',
    title: 'Roof over the landing',
    zone: 'House front',
    phase: 'Later',
    lines: ['-6 slope 45 2x2 brick-red plan #fit', '+2 arch 1x4 chalk plan'],
  },
  {
    do: 'whatIf',
    name: 'Roof in slate',
    modification: 'Roof over the landing',
    lines: ['~10 slope 45 2x1 brick-red > slate #style', '+14 slope 45 2x2 slate'],
  },
  {
    do: 'whatIf',
    name: 'Roof in bark',
    modification: 'Roof over the landing',
    lines: ['+14 slope 45 2x2 bark', '+12 tile 2x2 bark'],
  },
];

/** The icebreaker: two pieces of work begun, to show that size does not slow the bench. */
export const ICEBREAKER_STORY: readonly Step[] = [
  {
    do: 'modification',
    title: 'Helideck edge',
    zone: 'Helideck',
    lines: ['+12 tile 1x4 slate plan', '+8 tile 1x2 chalk'],
  },
];
