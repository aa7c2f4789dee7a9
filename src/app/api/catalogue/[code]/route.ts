import { readSetLots } from '@/data/catalogue';
import { answer, refuse } from '@/server/http';
import { workspace } from '@/server/workspace';

export async function GET(_: Request, { params }: { params: Promise<{ code: string }> }): Promise<Response> {
  const lots = readSetLots(workspace().db, decodeURIComponent((await params).code));
  return lots.length > 0 ? answer(lots) : refuse(404, { refused: 'no such set' });
}
