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

/** The lightkeeper's house, worked on for a while. Every line is a log line, so the books make the figures. */
export const LIGHTKEEPERS_STORY: readonly Step[] = [
  {
    do: 'modification',
    title: 'Checked off',
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
    lines: ['~18 brick 1x2 slate > ash #mismatch'],
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
    note: 'Rock face first, then the slipway, then the doors.',
    lines: [
      '-4 slope 45 2x2 slate @tower foot #fit "rock face cut back for the slipway"',
      '+24 brick 1x4 ash from own parts "quay wall, laid across the joints"',
      '+10 brick 1x2 slate hidden from spares "core of the quay"',
      '+6 plate 2x4 ash hidden at 0.05 "under the slipway"',
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
    lines: ['~2 boat door 1x6 deep > kelp #mismatch plan'],
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
    title: 'Renew the sun-struck bands',
    zone: 'Tower',
    phase: 'Put right',
    lines: ['%9 brick 1x1 chalk #faded from own parts'],
  },
  {
    do: 'modification',
    title: 'Hang the storm shutters',
    zone: 'House front',
    phase: 'Grow',
    lines: ['+6 shutter 1x2x2 kelp, +12 round plate 1x1 soot from own parts #style'],
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

/** A walled garden to stand behind the house: begun with no box, planned from the ground up, all of it still to buy. */
export const GARDEN_ZONES = ['Wall', 'Glass lean-to', 'Beds and path'] as const;
export const GARDEN_STORY: readonly Step[] = [
  {
    do: 'modification',
    title: 'Build the wall',
    zone: 'Wall',
    why: 'Bare rock behind the kitchen.',
    lines: [
      '+7 plate 2x3 flint, +8 tile 2x2 ash, +4 brick 1x4 ash, +5 tile 2x2 flint plan',
      '+7 plate 2x8 slate, +12 brick 1x2 flint, +13 plate 1x6 slate, +6 plate 4x6 flint plan',
      '+25 curved slope 2x1 flint, +9 tile 2x2 slate, +12 plate 2x3 ash, +4 brick 1x4 flint plan',
      '+17 fence 1x4 slate, +17 slope 45 2x1 flint, +11 slope 33 3x1 slate, +5 brick 1x3 ash plan',
      '+20 slope 33 3x1 flint, +26 round brick 2x2 ash, +25 tile 1x3 slate, +17 plate 1x6 ash plan',
      '+24 brick 2x4 slate, +18 brick 1x6 slate plan hidden',
    ],
  },
  {
    do: 'modification',
    title: 'A glass lean-to',
    zone: 'Glass lean-to',
    lines: [
      '+24 plate 1x6 oyster, +9 slope 33 3x1 kelp, +22 tile 1x6 kelp, +21 tile 1x3 oyster plan',
      '+7 plate 1x6 kelp, +11 brick 1x3 oyster, +23 plate 2x8 oyster, +14 plate 2x3 chalk plan',
      '+18 plate 1x3 kelp, +15 brick 1x2 chalk, +25 brick 1x4 kelp, +14 tile 1x3 chalk plan',
      '+8 plate 4x6 kelp, +23 masonry brick 1x2 kelp, +13 panel 1x2x2 chalk, +18 curved slope 2x1 chalk plan',
      '+12 plate 4x6 chalk, +9 tile 2x2 oyster, +5 brick 1x2 kelp, +15 slope 33 3x1 chalk plan',
    ],
  },
  {
    do: 'modification',
    title: 'Beds and a path',
    zone: 'Beds and path',
    lines: [
      '+22 tile 1x6 fern, +10 brick 2x2 leek, +7 slope 45 2x1 dune, +5 brick 1x3 bark plan',
      '+25 plate 1x3 cocoa, +5 brick 2x3 cocoa, +22 round brick 2x2 leek, +5 plate 2x3 fern plan',
      '+13 brick 2x2 cocoa, +11 arch 1x4 dune, +19 slope 33 3x1 leek, +17 brick 1x3 dune plan',
      '+24 slope 33 3x1 dune, +11 plate 2x8 fern, +11 fence 1x4 dune, +8 slope 45 2x1 fern plan',
      '+14 tile 1x3 bark, +22 round plate 2x2 bark, +19 tile 2x2 bark, +14 round plate 2x2 dune plan',
    ],
  },
];

/** The glasshouse: built from two copies of the night tram, and nothing else. */
export const GLASSHOUSE_STORY: readonly Step[] = [
  {
    do: 'modification',
    title: 'Take the trams down to their floors',
    zone: 'Tram',
    phase: 'Apart',
    lines: [
      '-32 window 1x2x2 kelp, -32 pane 1x2x2 clear-lamp, -16 window 1x4x3 kelp, -16 pane 1x4x3 clear',
      '-28 brick 1x2 kelp, -20 brick 1x4 kelp, -16 brick 1x4 dune, -24 plate 1x4 kelp',
      '-16 slope 33 3x1 kelp, -8 slope 33 3x2 kelp, -16 bar 1x4 brass, -8 wheel 2x2 soot',
    ],
  },
  {
    do: 'modification',
    title: 'Walls of glass',
    zone: 'Tram',
    phase: 'Glasshouse',
    lines: [
      '+14 window 1x4x3 kelp, +14 pane 1x4x3 clear, +24 window 1x2x2 kelp, +20 pane 1x2x2 clear-lamp from spares',
      '+22 brick 1x2 kelp, +18 brick 1x4 kelp from spares "the low wall"',
    ],
  },
  {
    do: 'modification',
    title: 'Ridge and benches',
    zone: 'Tram',
    phase: 'Glasshouse',
    lines: [
      '+16 slope 33 3x1 kelp, +8 slope 33 3x2 kelp, +12 bar 1x4 brass from spares plan',
      '+20 brick 1x4 dune plan "potting benches"',
      '+4 plant 2x2 fern plan "nothing green grows in a tram"',
    ],
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

/** Planned when the house had its eye on the same parts: both want them, and they will not do for both. */
export const ICEBREAKER_LATER: readonly Step[] = [
  {
    do: 'modification',
    title: 'Deck rail',
    zone: 'Helideck',
    lines: ['+9 fence 1x4 slate, +2 brick 1x4 ash from own parts plan'],
  },
];

/**
 * The night tram of somebody who keeps bricks in tubs and counts none of them: everything is done first and logged after,
 * from what is there, from an old set and from a friend.
 */
export const TRAM_STORY: readonly Step[] = [
  {
    do: 'modification',
    title: 'A destination blind at both ends',
    zone: 'Tram',
    why: 'It went nowhere.',
    lines: [
      '+4 tile 1x4 chalk, +4 panel 1x2x1 chalk, +2 tile 1x2 amber',
      '-4 tile 1x4 dune #style',
      '+2 bar 1x4 soot from "pier railway, 1996" "trolley pole"',
    ],
  },
  {
    do: 'modification',
    title: 'Benches along both sides',
    zone: 'Tram',
    lines: ['+10 plate 1x4 bark, +10 slope 45 2x1 bark from "a friend"', '+6 tile 1x2 bark own plan'],
  },
  {
    do: 'modification',
    title: 'Headlamps that shine',
    zone: 'Tram',
    lines: ['+4 round plate 1x1 clear-lamp bought 0.11', '+2 dish 2x2 clear-lamp buy'],
  },
];
