import { workspaceTrouble } from '@/server/workspace';

/** Whether the server and its workspace can be worked with: for a container, and for whoever starts one. */
export function GET(): Response {
  const trouble = workspaceTrouble();
  return Response.json({ ok: trouble === null, trouble }, { status: trouble ? 503 : 200 });
}
