import { gunzipSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { endGzip, openGzip } from './open-gzip';

const long = Array.from({ length: 20_000 }, (_, i) => `brick ${i % 97} in Grün, ${i * 31} of them`).join(
  '\n',
);

describe('a gzip that is gone on with', () => {
  it.each([
    ['nothing', '', ''],
    ['a text alone', 'brick 1x2', ''],
    ['what follows alone', '', 'brick 1x2'],
    ['both', long, `\n${long.slice(0, 3000)}`],
  ])('holds %s, for whoever reads gzips', async (_, first, more) => {
    const whole = endGzip(openGzip(first), more);
    expect(gunzipSync(whole).toString()).toBe(first + more);
    const stream = new Blob([new Uint8Array(whole)]).stream().pipeThrough(new DecompressionStream('gzip'));
    expect(await new Response(stream).text()).toBe(first + more);
  });

  it('can be ended more than once, with other ends', () => {
    const open = openGzip(long);
    expect(gunzipSync(endGzip(open, 'one')).toString()).toBe(`${long}one`);
    expect(gunzipSync(endGzip(open, 'another')).toString()).toBe(`${long}another`);
    expect(gunzipSync(endGzip(open)).toString()).toBe(long);
  });

  it('is small: what is alike is packed as such', () => {
    expect(endGzip(openGzip(long)).length).toBeLessThan(long.length / 4);
  });
});
