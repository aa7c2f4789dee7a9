import { floorGrid } from './floor-grid';
import type { Grid } from './grid';
import type { LayProblem } from './problem';
import { wallsGrid } from './walls-grid';

/** The grid of a laying problem that makes sense (`faultOf` says whether it does). */
export const gridOf = (problem: LayProblem): Grid =>
  problem.kind === 'walls' ? wallsGrid(problem) : floorGrid(problem);
