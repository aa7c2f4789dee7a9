import { cutRequestSchema, faultOf } from '@/core/stickers/cutting';
import { cutRequest } from '@/server/cut';
import { solveRoute, stopRun } from '@/server/market/run-routes';

/** Stops the search called `?run=`. */
export const DELETE = stopRun;

/** Takes strips and the fields of sticker sheets, and says which is cut from where: docs/formats/cut-request.schema.json. */
export const POST = solveRoute({ schema: cutRequestSchema, faultOf, solve: cutRequest });
