import { faultOf, layRequestSchema } from '@/core/fit/lay';
import { layRequest } from '@/server/lay';
import { solveRoute, stopRun } from '@/server/market/run-routes';

/** Stops the laying called `?run=`. */
export const DELETE = stopRun;

/** Takes walls or a floor and gives the pieces, each with its place: docs/formats/lay-request.schema.json. */
export const POST = solveRoute({ schema: layRequestSchema, faultOf, solve: layRequest });
