import fs from 'node:fs/promises';
import path from 'node:path';

/** What Next has built for browsers; each file is named by what is in it. */
const BUILT = path.join('.next', 'static');

/** The addresses of all built files, in order; none where nothing was built, as while developing. */
export async function builtFiles(root: string = process.cwd()): Promise<string[]> {
  const folder = path.join(/* turbopackIgnore: true */ root, BUILT);
  const found = await fs.readdir(folder, { recursive: true, withFileTypes: true }).catch(() => []);
  return found
    .filter((entry) => entry.isFile())
    .map((entry) => path.relative(folder, path.join(entry.parentPath, entry.name)).split(path.sep).join('/'))
    .map((name) => `/_next/static/${name}`)
    .sort();
}

/** The two faces that every page is set in, in the letters that nearly all of it is written with. */
const FACES = /\/(bricolage-grotesque|hanken-grotesk)-latin-wght-normal\./;
let faces: Promise<string[]> | undefined;

/** The fonts that a page asks for at once, so that its first lines are not set twice. */
export const firstFonts = (): Promise<string[]> =>
  (faces ??= builtFiles().then((files) => files.filter((f) => FACES.test(f))));
