import PDFDocument from 'pdfkit';
import sharp from 'sharp';
import { inkOn, type Colour } from '@/core/colour';
import {
  labelSize,
  photosOf,
  SHEET,
  type SheetBlock,
  type SheetDocument,
  type SheetGuide,
} from '@/core/mod-sheet';
import { drawPart, elementName, paintPart, partOf, splitElementKey, type ElementKey } from '@/core/parts';

const MM = 72 / 25.4;
const MARGIN = 14 * MM;
const GREY = '#5a5a5a';
const INK = '#161616';

/**
 * A mod sheet as a PDF with drawn parts and photos, on its paper.
 *
 * @param photoOf  a kept photo's bytes; undefined = it is gone, and left out
 */
export async function sheetPdf(
  sheet: SheetDocument,
  palette: readonly Colour[],
  photoOf: (id: string) => Buffer | undefined,
): Promise<Buffer> {
  const photos = new Map<string, { bytes: Buffer; ratio: number }>();
  for (const id of photosOf(sheet)) {
    const bytes = photoOf(id);
    if (!bytes) continue;
    const { data, info } = await sharp(bytes)
      .resize(SHEET.photoSide, SHEET.photoSide, { fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 82 })
      .toBuffer({ resolveWithObject: true });
    photos.set(id, { bytes: data, ratio: info.height / info.width });
  }
  const doc = new PDFDocument({
    size: sheet.paper === 'A4' ? 'A4' : 'LETTER',
    margin: MARGIN,
    bufferPages: true,
    lang: 'en',
    info: { Title: sheet.title, Author: sheet.author, Creator: 'Evarn' },
  });
  const chunks: Buffer[] = [];
  doc.on('data', (c: Buffer) => chunks.push(c));
  const done = new Promise<Buffer>((resolve) => doc.on('end', () => resolve(Buffer.concat(chunks))));
  const page = new SheetPage(doc, new Map(palette.map((c) => [c.id as string, c])), photos);
  page.title(sheet.title, sheet.author);
  for (const block of sheet.blocks) page.block(block);
  page.numbers(sheet.title);
  doc.end();
  return done;
}

/** Writes blocks one under the other, and begins a page where one does not fit. */
class SheetPage {
  private readonly left = MARGIN;
  private readonly width: number;
  private readonly bottom: number;

  constructor(
    private readonly doc: PDFKit.PDFDocument,
    private readonly colours: ReadonlyMap<string, Colour>,
    private readonly photos: ReadonlyMap<string, { bytes: Buffer; ratio: number }>,
  ) {
    this.width = doc.page.width - 2 * MARGIN;
    this.bottom = doc.page.height - MARGIN - 14;
  }

  private need(height: number): void {
    if (this.doc.y + height > this.bottom) this.doc.addPage();
  }

  private write(words: string, size: number, font = 'Helvetica', colour = INK): void {
    this.doc.font(font).fontSize(size).fillColor(colour);
    this.need(Math.min(120, this.doc.heightOfString(words, { width: this.width })));
    this.doc.text(words, this.left, this.doc.y, { width: this.width });
  }

  title(title: string, author: string): void {
    this.write(title, 20, 'Helvetica-Bold');
    if (author) this.write(`by ${author}`, 11, 'Helvetica', GREY);
    this.doc.moveDown(0.5);
  }

  block(b: SheetBlock): void {
    switch (b.is) {
      case 'heading':
        return this.heading(b.text, b.level);
      case 'text':
        this.write(b.text, 10.5, 'Helvetica', b.soft ? GREY : INK);
        return void this.doc.moveDown(0.3);
      case 'list':
        for (const item of b.items) this.write(`– ${item}`, 10.5);
        return void this.doc.moveDown(0.3);
      case 'facts':
        for (const [k, v] of b.rows) this.write(`${k}: ${v}`, 10.5);
        return void this.doc.moveDown(0.3);
      case 'table':
        return this.table(b.head, b.rows);
      case 'parts':
        return this.parts(
          b.lots.map((l) => ({ ...l, says: `${l.qty} ${elementName(l.element)}`, out: false })),
        );
      case 'change':
        if (b.where) this.write(b.where, 10.5, 'Helvetica-Bold');
        return this.parts([
          ...b.off.map((l) => ({ ...l, says: `${l.qty} ${elementName(l.element)} off`, out: true })),
          ...b.on.map((l) => ({ ...l, says: `${l.qty} ${elementName(l.element)} on`, out: false })),
        ]);
      case 'guide':
        return this.guide(b);
      case 'pictures':
        this.pictures(b.pictures);
    }
  }

  private heading(words: string, level: 2 | 3): void {
    this.need(level === 2 ? 70 : 50);
    this.doc.moveDown(level === 2 ? 0.7 : 0.3);
    this.write(words, level === 2 ? 14 : 11.5, 'Helvetica-Bold');
    if (level === 2) {
      const y = this.doc.y + 1;
      this.doc
        .moveTo(this.left, y)
        .lineTo(this.left + this.width, y)
        .lineWidth(0.5)
        .stroke('#bbbbbb');
    }
    this.doc.moveDown(0.3);
  }

  private table(head: readonly string[], rows: readonly (readonly string[])[]): void {
    const share = head.map((_, i) => (i === 0 ? 2 : i === head.length - 1 && head.length === 3 ? 4 : 1));
    const sum = share.reduce((a, b) => a + b, 0);
    const columns = share.map((s) => (s / sum) * this.width);
    const row = (cells: readonly string[], font: string) => {
      this.doc.font(font).fontSize(9.5).fillColor(INK);
      const tall = Math.max(
        ...cells.map((c, i) => this.doc.heightOfString(c, { width: columns[i]! - 6 })),
        11,
      );
      this.need(tall + 4);
      const y = this.doc.y;
      let x = this.left;
      cells.forEach((c, i) => {
        this.doc.text(c, x, y, { width: columns[i]! - 6 });
        x += columns[i]!;
      });
      this.doc.y = y + tall + 3;
      this.doc.x = this.left;
    };
    row(head, 'Helvetica-Bold');
    for (const r of rows) row(r, 'Helvetica');
    this.doc.moveDown(0.4);
  }

  /** Drawn parts with their names, two or three beside each other. */
  private parts(lots: readonly { element: ElementKey; says: string; out: boolean }[]): void {
    const [across, tall, box] = [2, 24, 22];
    const column = this.width / across;
    for (let i = 0; i < lots.length; i += across) {
      this.need(tall);
      const y = this.doc.y;
      lots.slice(i, i + across).forEach((l, c) => {
        const x = this.left + c * column;
        this.drawn(l.element, x, y, box, l.out);
        this.doc
          .font('Helvetica')
          .fontSize(9.5)
          .fillColor(INK)
          .text(l.says, x + box + 6, y + 6, {
            width: column - box - 12,
            height: 14,
            ellipsis: true,
            lineBreak: false,
          });
      });
      this.doc.y = y + tall;
      this.doc.x = this.left;
    }
    this.doc.moveDown(0.3);
  }

  private drawn(element: ElementKey, x: number, y: number, side: number, out: boolean): void {
    const { part, colour } = splitElementKey(element);
    const drawing = drawPart(partOf(part));
    const { faces, edge, opacity } = paintPart(drawing, this.colours.get(colour));
    const [bx, by, bw, bh] = drawing.box;
    const scale = side / Math.max(bw, bh, 3.8);
    this.doc.save();
    this.doc
      .translate(x + side / 2, y + side / 2)
      .scale(scale)
      .translate(-(bx + bw / 2), -(by + bh / 2));
    this.doc.lineWidth(0.5 / scale).lineJoin('round');
    this.doc.opacity(out ? 0.4 : opacity);
    for (const f of faces) this.doc.path(f.d).fillAndStroke(f.fill, edge);
    this.doc.restore();
    this.doc.opacity(1);
  }

  /** A guide at its proportions: at twice its true size where that fits, and no wider and no taller than a page. */
  private guide({ says, w, h, rects }: SheetGuide): void {
    const scale = Math.min(2 * MM, this.width / w, (this.bottom - MARGIN - 30) / h);
    this.need(h * scale + 20);
    const top = this.doc.y;
    for (const r of rects) {
      const colour = r.colour === null ? undefined : this.colours.get(r.colour);
      const [x, y] = [this.left + r.x * scale, top + r.y * scale];
      this.doc.rect(x, y, r.w * scale, r.h * scale).lineWidth(0.4);
      if (r.colour === null) this.doc.stroke(INK);
      else this.doc.fillAndStroke(colour?.hex ?? GREY, INK);
      const size = labelSize(r) * scale;
      if (size < 3) continue;
      this.doc.font('Helvetica').fontSize(size).fillColor(inkOn(colour));
      this.doc.text(r.label, x, y + (r.h * scale) / 2 - size * 0.4, {
        ...{ width: r.w * scale, align: 'center', lineBreak: false },
      });
    }
    this.doc.x = this.left;
    this.doc.y = top + h * scale + 3;
    this.write(says, 9.5, 'Helvetica', GREY);
    this.doc.moveDown(0.4);
  }

  /** Photos beside each other, up to three, each with what it shows under it. */
  private pictures(all: Extract<SheetBlock, { is: 'pictures' }>['pictures']): void {
    const there = all.flatMap((p) => {
      const photo = this.photos.get(p.photo);
      return photo ? [{ ...photo, says: p.says }] : [];
    });
    const across = Math.min(3, Math.max(1, there.length));
    const column = this.width / across;
    for (let i = 0; i < there.length; i += across) {
      const row = there.slice(i, i + across);
      const width = Math.min(column - 8, 330);
      const tall = Math.max(...row.map((p) => width * p.ratio));
      this.need(tall + 24);
      const y = this.doc.y;
      row.forEach((p, c) => {
        const x = this.left + c * column;
        this.doc.image(p.bytes, x, y, { width });
        this.doc.font('Helvetica').fontSize(9.5).fillColor(GREY);
        this.doc.text(p.says, x, y + width * p.ratio + 3, {
          width,
          height: 14,
          ellipsis: true,
          lineBreak: false,
        });
      });
      this.doc.y = y + tall + 20;
      this.doc.x = this.left;
    }
  }

  /** Page numbers, once it is known how many there are. */
  numbers(title: string): void {
    const { count } = this.doc.bufferedPageRange();
    for (let i = 0; i < count; i++) {
      this.doc.switchToPage(i);
      const y = this.doc.page.height - MARGIN - 8;
      // Below the margin text would begin a page of its own.
      this.doc.page.margins.bottom = 0;
      this.doc.font('Helvetica').fontSize(8).fillColor(GREY);
      this.doc.text(`${title}, ${i + 1} of ${count}`, this.left, y, { width: this.width, lineBreak: false });
      this.doc.page.margins.bottom = MARGIN;
    }
  }
}
