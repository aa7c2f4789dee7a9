/** A number that a text always has (FNV-1a). */
export const hash = (text: string): number =>
  [...text].reduce((h, c) => Math.imul(h ^ c.charCodeAt(0), 16777619) >>> 0, 2166136261);
