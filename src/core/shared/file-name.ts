/**
 * A name that is safe for a file everywhere, of a name that a person gave: letters, digits and hyphens, at most 60.
 *
 * @param otherwise  what it is called where nothing of the name is left
 * @example fileName("Lightkeeper's House", 'build') // 'lightkeepers-house'
 */
export const fileName = (name: string, otherwise: string): string =>
  name
    .normalize('NFKD')
    .replace(/[^\w ]+/g, '')
    .trim()
    .replace(/\s+/g, '-')
    .toLowerCase()
    .slice(0, 60) || otherwise;
