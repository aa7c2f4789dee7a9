/** What a server says line by line, each a value of its own, as it comes. A last line that broke off is an error. */
export async function* linesOf<T>(body: ReadableStream<Uint8Array<ArrayBuffer>>): AsyncGenerator<T> {
  const reader = body.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  for (;;) {
    const { done, value } = await reader.read();
    if (done) {
      if (rest) yield JSON.parse(rest) as T;
      return;
    }
    const lines = (rest + value).split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines) yield JSON.parse(line) as T;
  }
}
