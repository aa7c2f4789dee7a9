import yauzl from 'yauzl';
import { TABLE } from '@/core/shared/bounds';

/** A file that is no spreadsheet, is damaged, or is made to be costly; `too large` where a bound was met. */
export class BadSpreadsheet extends Error {
  constructor(readonly fault: 'unreadable' | 'too large') {
    super(fault);
  }
}

/** The files inside a zip, by name. Nothing is unpacked by opening it. */
export interface ZipParts {
  has(name: string): boolean;
  /** Unpacks one file piece by piece; the sizes that the zip states are held against what really comes. */
  read(name: string, onChunk: (chunk: Buffer) => void): Promise<void>;
}

/** Opens a zip that lies in memory: at most so many files, that say they unpack to at most so many bytes. */
export function openZip(bytes: Buffer): Promise<ZipParts> {
  return new Promise((done, failed) => {
    const bad = () => failed(new BadSpreadsheet('unreadable'));
    yauzl.fromBuffer(bytes, { lazyEntries: true, validateEntrySizes: true }, (error, zip) => {
      if (error || !zip) return bad();
      if (zip.entryCount > TABLE.parts) return failed(new BadSpreadsheet('too large'));
      const entries = new Map<string, yauzl.Entry>();
      zip.on('error', bad);
      zip.on('entry', (entry: yauzl.Entry) => {
        if (!entries.has(entry.fileName)) entries.set(entry.fileName, entry);
        zip.readEntry();
      });
      zip.on('end', () => done(partsOf(zip, entries)));
      zip.readEntry();
    });
  });
}

function partsOf(zip: yauzl.ZipFile, entries: ReadonlyMap<string, yauzl.Entry>): ZipParts {
  let unpacked = 0;
  return {
    has: (name) => entries.has(name),
    read: (name, onChunk) =>
      new Promise((done, failed) => {
        const entry = entries.get(name);
        if (!entry) return failed(new BadSpreadsheet('unreadable'));
        unpacked += entry.uncompressedSize;
        if (unpacked > TABLE.unpacked) return failed(new BadSpreadsheet('too large'));
        zip.openReadStream(entry, (error, stream) => {
          if (error || !stream) return failed(new BadSpreadsheet('unreadable'));
          stream.on('error', () => failed(new BadSpreadsheet('unreadable')));
          stream.on('end', done);
          stream.on('data', (chunk: Buffer) => {
            try {
              onChunk(chunk);
            } catch (fault) {
              stream.destroy();
              failed(fault as Error);
            }
          });
        });
      }),
  };
}
