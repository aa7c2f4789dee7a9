/** The address of a route of the server. */
export const at = (path: string): string => `http://127.0.0.1/api/${path}`;

/** A request that sends a body: text as it is, all else as JSON. */
export const post = (path: string, body: unknown, headers: Record<string, string> = {}): Request =>
  new Request(at(path), {
    method: 'POST',
    headers,
    body: typeof body === 'string' ? body : JSON.stringify(body),
  });

/** A route's answer: its status, and what it says. */
export async function said(response: Response | Promise<Response>) {
  const r = await response;
  return { status: r.status, ...((await r.json()) as { ok?: boolean; value?: never; reason?: never }) };
}

/** The parameters of an address, as Next gives them to a route. */
export const of = <T extends Record<string, string>>(params: T): { params: Promise<T> } => ({
  params: Promise.resolve(params),
});
