/**
 * The versions of Node that will do: SQLite's package and the tests leave out 21 and 23, and the checksum of a gzip that is
 * gone on with came with 20.15 and 22.2.
 */
export const NODE_RANGE = '^20.15.0 || ^22.2.0 || >=24.0.0';

/** What is wrong with a version of Node, as a sentence; null = nothing. */
export function nodeFault(version) {
  const [major = 0, minor = 0] = version.replace(/^v/, '').split('.').map(Number);
  if ((major === 20 && minor >= 15) || (major === 22 && minor >= 2) || major >= 24) return null;
  return `Evarn needs Node 20.15 or later of 20, 22.2 or later of 22, or 24 and later; this is ${version}. Install one of them from your system's packages or nodejs.org, and start again.`;
}

/** Ends the command with a sentence where the version of Node will not do. */
export function needNode() {
  const fault = nodeFault(process.version);
  if (!fault) return;
  console.error(fault);
  process.exit(1);
}
