import sharp from 'sharp';
import { PALETTE } from '../src/core/colour';

/**
 * Draws the demo's three photos of the house, as simple as a child's brick house: as it came, with its colours put right, fully
 * dressed. Each stands a little differently, as photos do; the base's corners are the two points that lay them alike.
 */
const hexOf = (name: string): string => PALETTE.find((c) => c.name === name)?.hex ?? '#999999';
const [W, H] = [960, 720];

interface Look {
  readonly wall: (course: number, at: number) => string;
  readonly trim: string;
  readonly dressed: boolean;
  readonly turn: number;
  readonly shift: readonly [number, number];
  readonly scale: number;
}

function house({ wall, trim, dressed, turn, shift, scale }: Look): string {
  const parts: string[] = [];
  const rect = (x: number, y: number, w: number, h: number, fill: string) =>
    parts.push(
      `<rect x="${x}" y="${y}" width="${w}" height="${h}" fill="${fill}" stroke="#00000055" stroke-width="1.5"/>`,
    );
  const studs = (x: number, y: number, n: number, fill: string) => {
    for (let i = 0; i < n; i++) rect(x + 6 + i * 24, y - 5, 12, 5, fill);
  };
  rect(180, 560, 600, 18, hexOf('slate'));
  for (let course = 0; course < 12; course++)
    for (let at = 0; at < 8; at++) {
      const x = 252 + at * 48 - (course % 2 ? 24 : 0);
      const from = Math.max(240, x);
      rect(from, 532 - course * 28, Math.min(48, 624 - from), 28, wall(course, at));
    }
  studs(240, 224, 16, wall(11, 0));
  for (const x of [290, 410, 530])
    for (const y of [300, 440]) {
      rect(x, y, 52, 64, trim);
      rect(x + 8, y + 8, 36, 48, '#cfe3ea');
    }
  rect(410, 490, 52, 70, hexOf('bark'));
  for (let i = 0; i < 7; i++) rect(230 + i * 20, 222 - i * 14, 404 - i * 40, 14, hexOf('kelp'));
  for (let course = 0; course < 15; course++)
    rect(640, 532 - course * 28, 96, 28, hexOf(course % 4 === 3 ? 'brick-red' : 'chalk'));
  rect(628, 118, 120, 22, hexOf('soot'));
  rect(656, 70, 64, 50, '#f1e29a');
  rect(640, 54, 96, 18, hexOf('brick-red'));
  if (dressed) {
    for (let i = 0; i < 5; i++) rect(196 + i * 9, 540 - (i % 2) * 14, 10, 22, hexOf('fern'));
    for (let i = 0; i < 4; i++) rect(290 + i * 120, 508, 52, 8, hexOf('bark'));
    for (let i = 0; i < 6; i++) rect(292 + i * 8, 496, 8, 12, hexOf(i % 2 ? 'fern' : 'brick-red'));
    rect(740, 520, 60, 42, hexOf('dune'));
    rect(752, 500, 36, 20, hexOf('kelp'));
  }
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${W}" height="${H}"><rect width="100%" height="100%" fill="#d9d9d6"/><rect y="570" width="100%" height="150" fill="#b9b4aa"/><g transform="translate(${shift[0]} ${shift[1]}) rotate(${turn} ${W / 2} ${H / 2}) scale(${scale})">${parts.join('')}</g></svg>`;
}

const near = ['chalk', 'milk', 'bone', 'oyster'];
const LOOKS: readonly Look[] = [
  {
    wall: (c, a) => hexOf(near[(c * 7 + a * 3) % 11 < 8 ? 0 : 1 + ((c + a) % 3)]!),
    trim: hexOf('ash'),
    dressed: false,
    turn: 0,
    shift: [0, 0],
    scale: 1,
  },
  {
    wall: () => hexOf('chalk'),
    trim: hexOf('harbour'),
    dressed: false,
    turn: -2,
    shift: [26, 12],
    scale: 0.97,
  },
  {
    wall: () => hexOf('chalk'),
    trim: hexOf('harbour'),
    dressed: true,
    turn: 1.5,
    shift: [-18, 8],
    scale: 1.02,
  },
];
for (const [i, look] of LOOKS.entries()) {
  const file = `public/demo/house-${i + 1}.webp`;
  await sharp(Buffer.from(house(look)))
    .webp({ quality: 80 })
    .toFile(file);
  const at = (x: number, y: number) => {
    const [sx, sy] = [x * look.scale, y * look.scale];
    const t = (look.turn * Math.PI) / 180;
    const [cx, cy] = [W / 2, H / 2];
    const [dx, dy] = [sx - cx, sy - cy];
    const px = cx + dx * Math.cos(t) - dy * Math.sin(t) + look.shift[0];
    const py = cy + dx * Math.sin(t) + dy * Math.cos(t) + look.shift[1];
    return `{ x: ${(px / W).toFixed(4)}, y: ${(py / H).toFixed(4)} }`;
  };
  console.log(file, at(180, 578), at(780, 578));
}
