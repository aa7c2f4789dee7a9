import { asId, type BuildId } from '@/core/shared/ids';
import { answer, refuse } from '@/server/http';
import { takeSnapshot } from '@/server/snapshot';
import { workspace } from '@/server/workspace';

export async function GET(_: Request, { params }: { params: Promise<{ build: string }> }): Promise<Response> {
  const snapshot = takeSnapshot(workspace(), asId<BuildId>((await params).build));
  return snapshot ? answer(snapshot) : refuse(404, { refused: 'no such build' });
}
