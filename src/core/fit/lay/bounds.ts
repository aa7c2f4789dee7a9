/** Bounds of a laying problem: what a wall or a floor of 64 x 64 studs and 40 courses needs, and room beyond it. */
export const LAY = {
  walls: 60,
  length: 400,
  courses: 80,
  parts: 400,
  side: 128,
  cells: 12_000,
  seconds: 300,
} as const;
