/**
 * Every bound that something from outside must keep, in one place: what a text, a number, a file or a request may be at
 * the most, and how long and how much memory its reading may take. What is beyond is refused with a sentence.
 */

const KB = 1024;
const MB = 1024 * KB;

/** Texts and numbers of a record. */
export const LIMITS = {
  name: 200,
  note: 4000,
  id: 80,
  element: 400,
  label: 600,
  /** What own parts came out of: an old set, a friend. */
  sourceName: 80,
  qty: 1_000_000,
  money: 1e10,
  movements: 60_000,
  /** Serial numbers of entries and modifications. */
  no: 10_000_000,
};

/** A table that is imported. Cells count whether they are empty or not, so that one far off is as costly as it looks. */
export const TABLE = {
  bytes: 20 * MB,
  rows: 50_000,
  columns: 200,
  cells: 2_000_000,
  cell: 2000,
  /** Characters of all cells together. */
  text: 40 * MB,
  /** What the parts of a spreadsheet file may unpack to. */
  unpacked: 400 * MB,
  parts: 2000,
  seconds: 20,
  heapMb: 512,
  /** Pieces that one row may name. */
  pieces: 100_000,
  /** A part's name. */
  name: 300,
};

/** A photo that is kept. */
export const PHOTO = { bytes: 40 * MB, pixels: 120_000_000, side: 1600 };

/** A backup that is put back. */
export const BACKUP = { packed: 256 * MB, unpacked: 1024 * MB, seconds: 120, heapMb: 2048 };

/** Bodies of requests that have no bound of their own. */
export const BODY = { usual: 20 * MB, small: 10 * KB, middle: 4 * MB };

/** A buying problem that is solved beside the server, and the kept state of a page that asks. */
export const PROBLEM = {
  bytes: 64 * MB,
  keptBytes: 32 * MB,
  lots: 5000,
  sellers: 2000,
  offers: 400_000,
  elements: 50_000,
  donors: 500,
  /** Pairs of a lot and an offer that serves it. */
  pairs: 4_000_000,
  bands: 50,
  seconds: 600,
  usualSeconds: 10,
  iterations: 1_000_000,
  /** Pieces wanted of all lots together: sums of money stay whole numbers. */
  pieces: 10_000_000,
  heapMb: 4096,
  /** Solves that may wait for one another. */
  waiting: 16,
};

/** How long the server waits for a data file that another program holds, and how often it looks. */
export const BUSY = { seconds: 10, pauseMs: 60 };
