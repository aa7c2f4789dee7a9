import { StringDecoder } from 'node:string_decoder';
import { SaxesParser, type SaxesTagPlain } from 'saxes';
import { BadSpreadsheet, type ZipParts } from './zip-parts';

/** What a reader of one XML file wants to hear. Names come without their prefix. */
export interface XmlListener {
  open?(name: string, attributes: Readonly<Record<string, string>>): void;
  text?(text: string): void;
  close?(name: string): void;
}

/** Characters between two tags: no cell has so many. */
const MOST_RUN = 1_000_000;

/**
 * Reads one XML file of a zip as a stream. No document type is taken, so that no entity can be defined, and a run of
 * text without a tag is bounded, since the parser holds it in memory.
 */
export async function readXml(parts: ZipParts, name: string, listener: XmlListener): Promise<void> {
  const parser = new SaxesParser();
  const bad = (): never => {
    throw new BadSpreadsheet('unreadable');
  };
  const plain = (full: string): string => full.slice(full.indexOf(':') + 1);
  parser.on('error', bad);
  parser.on('doctype', bad);
  parser.on('opentag', (tag: SaxesTagPlain) => listener.open?.(plain(tag.name), tag.attributes));
  parser.on('text', (text) => listener.text?.(text));
  parser.on('cdata', (text) => listener.text?.(text));
  parser.on('closetag', (tag: SaxesTagPlain) => listener.close?.(plain(tag.name)));
  const decoder = new StringDecoder('utf8');
  let run = 0;
  await parts.read(name, (chunk) => {
    const text = decoder.write(chunk);
    const tag = text.lastIndexOf('<');
    run = tag < 0 ? run + text.length : text.length - tag;
    if (run > MOST_RUN) throw new BadSpreadsheet('too large');
    parser.write(text);
  });
  parser.close();
}
