import { answer } from '@/server/http';
import { needsOfAll } from '@/server/needs';
import { workspace } from '@/server/workspace';

/** What all builds that share the stores still lack. */
export function GET(): Response {
  return answer(needsOfAll(workspace()));
}
