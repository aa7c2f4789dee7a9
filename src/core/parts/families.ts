/** How a family is drawn: the name of one of the builders in `solids/`. */
export type SolidName =
  | 'box'
  | 'round'
  | 'slope'
  | 'inverted-slope'
  | 'curve'
  | 'arch'
  | 'frame'
  | 'leaf-door'
  | 'panel'
  | 'fence'
  | 'wedge'
  | 'corner'
  | 'cone'
  | 'dome'
  | 'dish'
  | 'grille'
  | 'bracket'
  | 'hinge'
  | 'clip'
  | 'bar'
  | 'ladder'
  | 'wheel'
  | 'rod'
  | 'beam'
  | 'gear'
  | 'flag'
  | 'plant'
  | 'hull'
  | 'stairs'
  | 'figure'
  | 'general';

export type PartGroup =
  | 'Bricks'
  | 'Plates'
  | 'Tiles'
  | 'Slopes'
  | 'Rounds'
  | 'Windows and doors'
  | 'Walls and rails'
  | 'Joints'
  | 'Machine parts'
  | 'Plants and figures'
  | 'Others';

export interface Family {
  readonly name: string;
  readonly group: PartGroup;
  /** Each row is one way to name it: all its words must be there, in any order. */
  readonly words: readonly (readonly string[])[];
  /** Words that name the family and say something more, so they stay in the name: "gull" -> "animal gull". */
  readonly kinds: readonly string[];
  /** Height in plates when the name gives none. */
  readonly height: number;
  /** Footprint in studs when the name gives none. */
  readonly footprint: readonly [number, number];
  /** True when 2x1 and 1x2 are different parts; else sizes are written smaller first. */
  readonly directed: boolean;
  readonly studs: 'all' | 'none' | 'top-row' | 'middle';
  readonly solid: SolidName;
}

type Options = Partial<Omit<Family, 'name' | 'group' | 'solid' | 'words'>> & { also?: string[] };

function family(name: string, group: PartGroup, solid: SolidName, o: Options = {}): Family {
  const { also = [], ...rest } = o;
  return {
    name,
    group,
    solid,
    words: [name, ...also].map((w) => w.split(' ')),
    kinds: [],
    height: 3,
    footprint: [1, 1],
    directed: false,
    studs: 'none',
    ...rest,
  };
}

const studded = { studs: 'all' } as const;

/** Every family Evarn reads and draws. To add one: a row here, and its solid in `solids/` if none fits. */
export const FAMILIES: readonly Family[] = [
  family('brick', 'Bricks', 'box', studded),
  family('corner brick', 'Bricks', 'corner', {
    ...studded,
    footprint: [2, 2],
    also: ['brick corner', 'brick angle'],
  }),
  family('log brick', 'Bricks', 'box', { ...studded, also: ['palisade brick', 'brick log'] }),
  family('masonry brick', 'Bricks', 'box', {
    ...studded,
    also: ['brick profile', 'brick masonry', 'brick bricked'],
  }),
  family('side-stud brick', 'Bricks', 'bracket', {
    ...studded,
    also: ['brick side stud', 'brick stud side'],
  }),
  family('plate', 'Plates', 'box', { ...studded, height: 1 }),
  family('corner plate', 'Plates', 'corner', { ...studded, height: 1, footprint: [2, 2] }),
  family('one-stud plate', 'Plates', 'box', {
    height: 1,
    studs: 'middle',
    footprint: [1, 2],
    also: ['plate one stud', 'plate offset stud', 'plate centre stud', 'plate center stud'],
  }),
  family('wedge plate', 'Plates', 'wedge', {
    height: 1,
    footprint: [2, 4],
    directed: true,
    also: ['wing plate', 'wing'],
  }),
  family('baseplate', 'Plates', 'box', {
    ...studded,
    height: 1,
    footprint: [16, 16],
    also: ['base plate', 'ground plate'],
  }),
  family('bracket', 'Plates', 'bracket', {
    ...studded,
    height: 1,
    footprint: [1, 2],
    also: ['bracket plate', 'angle plate'],
  }),
  family('tile', 'Tiles', 'box', { height: 1 }),
  family('corner tile', 'Tiles', 'corner', { height: 1, footprint: [2, 2] }),
  family('grille tile', 'Tiles', 'grille', {
    height: 1,
    footprint: [1, 2],
    also: ['grille', 'tile grille', 'grill', 'tile grill'],
  }),
  family('slope', 'Slopes', 'slope', {
    directed: true,
    studs: 'top-row',
    footprint: [2, 1],
    also: ['roof tile', 'roof slope', 'sloped brick'],
  }),
  family('inverted slope', 'Slopes', 'inverted-slope', {
    ...studded,
    directed: true,
    footprint: [2, 1],
    also: ['slope inv', 'slope inverse', 'slope reverse'],
  }),
  family('curved slope', 'Slopes', 'curve', {
    directed: true,
    footprint: [2, 1],
    height: 2,
    also: ['slope curve', 'curve', 'curved brick', 'bow'],
  }),
  family('wedge', 'Slopes', 'wedge', { directed: true, footprint: [3, 2] }),
  family('ridge slope', 'Slopes', 'slope', {
    directed: true,
    footprint: [2, 2],
    also: ['slope ridge', 'double slope', 'roof ridge'],
  }),
  family('round brick', 'Rounds', 'round', {
    ...studded,
    also: ['brick rd', 'cylinder brick', 'barrel brick'],
  }),
  family('round plate', 'Rounds', 'round', { ...studded, height: 1, also: ['plate rd'] }),
  family('round tile', 'Rounds', 'round', { height: 1, also: ['tile rd'] }),
  family('quarter tile', 'Rounds', 'curve', { height: 1, also: ['tile quarter', 'quarter round tile'] }),
  family('cone', 'Rounds', 'cone', { also: ['cone brick'] }),
  family('dome', 'Rounds', 'dome', { footprint: [2, 2], also: ['half sphere', 'hemisphere'] }),
  family('dish', 'Rounds', 'dish', { height: 1, footprint: [2, 2], also: ['radar', 'dish inverted'] }),
  family('turntable', 'Rounds', 'round', { ...studded, height: 2, footprint: [2, 2], also: ['turn table'] }),
  family('arch', 'Walls and rails', 'arch', {
    ...studded,
    footprint: [1, 4],
    also: ['arch brick', 'brick arch', 'brick bow'],
  }),
  family('panel', 'Walls and rails', 'panel', { footprint: [1, 4], also: ['wall panel', 'wall'] }),
  family('fence', 'Walls and rails', 'fence', {
    footprint: [1, 4],
    also: ['railing', 'rail', 'lattice fence'],
  }),
  family('stairs', 'Walls and rails', 'stairs', {
    footprint: [4, 4],
    height: 9,
    directed: true,
    also: ['stair', 'staircase', 'steps'],
  }),
  family('ladder', 'Walls and rails', 'ladder', { footprint: [1, 2], height: 9 }),
  family('hull', 'Walls and rails', 'hull', {
    ...studded,
    footprint: [4, 8],
    directed: true,
    also: ['boat hull'],
    kinds: ['keel'],
  }),
  family('window', 'Windows and doors', 'frame', {
    footprint: [1, 2],
    height: 6,
    also: ['window frame', 'frame window', 'frame'],
  }),
  family('pane', 'Windows and doors', 'panel', {
    footprint: [1, 2],
    height: 6,
    also: ['window pane', 'window glass', 'glass'],
  }),
  family('shutter', 'Windows and doors', 'leaf-door', {
    footprint: [1, 2],
    height: 6,
    also: ['window shutter'],
  }),
  family('door', 'Windows and doors', 'leaf-door', {
    footprint: [1, 3],
    height: 12,
    also: ['door leaf'],
    kinds: ['gate'],
  }),
  family('boat door', 'Windows and doors', 'leaf-door', { footprint: [1, 6], height: 3 }),
  family('door frame', 'Windows and doors', 'frame', { footprint: [1, 4], height: 18, also: ['frame door'] }),
  family('hinge plate', 'Joints', 'hinge', { ...studded, height: 1, footprint: [1, 2] }),
  family('hinge brick', 'Joints', 'hinge', { ...studded, footprint: [1, 2], also: ['hinge'] }),
  family('clip plate', 'Joints', 'clip', { ...studded, height: 1, also: ['plate clip', 'clip'] }),
  family('bar plate', 'Joints', 'clip', {
    ...studded,
    height: 1,
    footprint: [1, 2],
    also: ['plate bar', 'plate handle', 'handle plate'],
  }),
  family('bar', 'Joints', 'bar', { footprint: [1, 4], height: 1, also: ['rod bar', 'mast'] }),
  family('ball joint', 'Joints', 'clip', {
    ...studded,
    height: 1,
    footprint: [1, 2],
    also: ['plate ball', 'plate socket', 'ball socket'],
  }),
  family('wheel', 'Machine parts', 'wheel', { footprint: [2, 2], height: 5, also: ['rim'] }),
  family('tyre', 'Machine parts', 'wheel', { footprint: [2, 2], height: 5, also: ['tire'] }),
  family('propeller', 'Machine parts', 'gear', {
    footprint: [3, 3],
    height: 1,
    also: ['rotor', 'screw propeller'],
  }),
  family('gear', 'Machine parts', 'gear', { footprint: [2, 2], height: 1, also: ['cog', 'gear wheel'] }),
  family('axle', 'Machine parts', 'rod', { footprint: [1, 4], height: 1 }),
  family('pin', 'Machine parts', 'rod', { footprint: [1, 1], height: 1, also: ['peg', 'connector pin'] }),
  family('beam', 'Machine parts', 'beam', {
    footprint: [1, 5],
    height: 2,
    also: ['hole beam', 'beam brick'],
  }),
  family('flag', 'Plants and figures', 'flag', { footprint: [1, 2], height: 5 }),
  family('plant', 'Plants and figures', 'plant', {
    footprint: [2, 2],
    height: 4,
    also: ['foliage'],
    kinds: ['leaf', 'leaves', 'bush', 'seaweed', 'grass'],
  }),
  family('flower', 'Plants and figures', 'plant', { footprint: [1, 1], height: 2, also: ['blossom'] }),
  family('figure', 'Plants and figures', 'figure', {
    footprint: [2, 1],
    height: 12,
    kinds: ['person', 'keeper', 'sailor'],
  }),
  family('figure head', 'Plants and figures', 'round', { footprint: [1, 1], height: 3 }),
  family('figure body', 'Plants and figures', 'box', {
    footprint: [1, 2],
    height: 4,
    also: ['figure torso'],
  }),
  family('figure legs', 'Plants and figures', 'box', { footprint: [1, 2], height: 5, also: ['figure leg'] }),
  family('figure wear', 'Plants and figures', 'dome', {
    footprint: [1, 1],
    height: 2,
    also: ['figure hat', 'figure hair', 'figure helmet', 'figure cape'],
  }),
  family('figure item', 'Plants and figures', 'bar', {
    footprint: [1, 1],
    height: 4,
    also: ['figure tool', 'figure accessory'],
  }),
  family('animal', 'Plants and figures', 'figure', {
    footprint: [1, 2],
    height: 4,
    kinds: ['gull', 'cat', 'dog', 'fish', 'bird', 'seal', 'bear'],
  }),
  family('tap', 'Others', 'cone', { height: 3, also: ['faucet', 'nozzle'] }),
];

/** What a name that fits no family becomes: it keeps its text and is drawn as a general glyph. */
export const GENERAL: Family = family('part', 'Others', 'general', { footprint: [2, 2], height: 3 });

export const GROUPS: readonly PartGroup[] = [
  'Bricks',
  'Plates',
  'Tiles',
  'Slopes',
  'Rounds',
  'Windows and doors',
  'Walls and rails',
  'Joints',
  'Machine parts',
  'Plants and figures',
  'Others',
];
