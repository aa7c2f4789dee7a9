import { laidWalls, wallsProblem } from '@/core/fit';
import { gridOf, LaySearch, quickLaying } from '@/core/fit/lay';
import { seededRandom } from '@/core/shared/random';
import { coursesOf, fitWorkbench, wallJobOf, wallsOf } from '@/core/testing/fit';
import type { WallJob } from '@/core/records';

const STOCK = ['ash', 'kelp', 'bark'].flatMap((c) =>
  [1, 2, 3, 4, 6].map((n) => `${24 - n} brick 1x${n} ${c}`),
);

/** A room with a door that is moved along its first wall, a stud at a time. */
const roomOf = (length: number, courses: number, from: number): WallJob =>
  wallJobOf({
    walls: wallsOf(length, length, length, length),
    meet: 'room',
    courses: coursesOf(...Array.from({ length: courses }, (_, i) => (i % 3 === 2 ? 'kelp' : 'ash'))),
    openings: [{ wall: 'north', name: 'door', width: 4, bottom: 0, courses: 4, from, count: 1 }],
  });

const middle = (times: readonly number[]): string =>
  [...times].sort((a, b) => a - b)[times.length >> 1]!.toFixed(0);

/** From a changed opening to a new drawing, as the page goes about it, beside how the search at the server begins. */
export function measureDrawing(): void {
  console.log('\na change of an opening to a new drawing');
  const workbench = fitWorkbench(STOCK);
  for (const [length, courses] of [
    [22, 6],
    [40, 12],
    [64, 40],
  ] as const) {
    const [page, search]: [number[], number[]] = [[], []];
    for (let from = 1; from <= 7; from++) {
      const job = roomOf(length, courses, from);
      let began = performance.now();
      const stated = wallsProblem(workbench, job, 'firm');
      if (!stated.ok) continue;
      const { pieces } = quickLaying(stated.value.problem).plan({ proven: false, seconds: 0 });
      laidWalls(job, stated.value, pieces);
      page.push(performance.now() - began);
      began = performance.now();
      void new LaySearch(gridOf(stated.value.problem), seededRandom(1)).bestScore;
      search.push(performance.now() - began);
    }
    console.log(
      `  a room of 4 x ${length} studs, ${courses} courses: ${middle(page)} ms; as the search begins: ${middle(search)} ms`,
    );
  }
}
