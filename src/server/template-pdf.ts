import PDFDocument from 'pdfkit';
import { PAPERS, windowsOf, type Drawing, type Paper, type Shape, type Window } from '@/core/stickers';

const MM = 72 / 25.4;
const MARGIN = 14;
const LINE = 4.6;
const GAP = 12;
/** Around a drawing: numbers of cuts, and the arms of its crosses. */
const EDGE = 6;

/**
 * Drawings at true size on paper: as many on a page as there is room for, one that is larger than the page in parts. Cautions
 * stand at the end.
 */
export function templatePdf(
  title: string,
  drawings: readonly Drawing[],
  cautions: readonly string[],
  paper: Paper,
): Promise<Buffer> {
  const size = PAPERS[paper];
  const doc = new PDFDocument({
    size: [size.w * MM, size.h * MM],
    margin: MARGIN * MM,
    info: { Title: title, Creator: 'Evarn' },
  });
  const chunks: Buffer[] = [];
  doc.on('data', (c: Buffer) => chunks.push(c));
  const done = new Promise<Buffer>((resolve) => doc.on('end', () => resolve(Buffer.concat(chunks))));
  const page = new Page(doc, size);
  page.heading(title);
  const room = { w: size.w - 2 * MARGIN - 2 * EDGE, h: size.h - 2 * MARGIN - 40 };
  for (const window of windowsOf(drawings, room)) page.draw(window);
  page.words('Cautions', cautions);
  doc.end();
  return done;
}

class Page {
  /** From the top, mm. */
  private y = MARGIN;

  constructor(
    private readonly doc: PDFKit.PDFDocument,
    private readonly size: { readonly w: number; readonly h: number },
  ) {}

  heading(title: string): void {
    this.doc
      .font('Helvetica-Bold')
      .fontSize(15)
      .text(title, MARGIN * MM, this.y * MM);
    this.y += 11;
  }

  private need(height: number): void {
    if (this.y + height <= this.size.h - MARGIN || this.y <= MARGIN) return;
    this.doc.addPage();
    this.y = MARGIN;
  }

  private lines(says: readonly string[]): void {
    const width = (this.size.w - 2 * MARGIN) * MM;
    this.doc.font('Helvetica').fontSize(9);
    for (const line of says) {
      this.doc.text(line, MARGIN * MM, this.y * MM, { width });
      this.y += this.doc.heightOfString(line, { width }) / MM + 0.8;
    }
  }

  private title(words: string): void {
    this.doc
      .font('Helvetica-Bold')
      .fontSize(11)
      .text(words, MARGIN * MM, this.y * MM);
    this.y += LINE + 1;
  }

  words(title: string, says: readonly string[]): void {
    this.need(LINE * (says.length * 2 + 2));
    this.title(title);
    this.lines(says);
  }

  draw(window: Window): void {
    const { drawing, part, parts } = window;
    this.need(LINE * (drawing.says.length * 2 + 2) + window.h + 2 * EDGE);
    this.title(parts > 1 ? `${drawing.title}, part ${part} of ${parts}` : drawing.title);
    this.lines(drawing.says);
    const { doc } = this;
    const [left, bottom] = [MARGIN + EDGE, this.y + EDGE + window.h];
    doc.save();
    if (parts > 1) doc.rect(left * MM, (bottom - window.h) * MM, window.w * MM, window.h * MM).clip();
    const at = (x: number, y: number) =>
      [(left + x - window.x) * MM, (bottom - (y - window.y)) * MM] as const;
    for (const shape of drawing.shapes) draw(doc, shape, at);
    doc.restore();
    this.y = bottom + EDGE + GAP / 2;
  }
}

const DASHES = { cut: [1, 0], align: [4, 2], edge: [1, 0] } as const;
const WIDTHS = { piece: 0.6, strip: 1, part: 0.35, bleed: 0.4 } as const;

function draw(
  doc: PDFKit.PDFDocument,
  shape: Shape,
  at: (x: number, y: number) => readonly [number, number],
): void {
  doc.undash().strokeColor('black').fillColor('black');
  switch (shape.kind) {
    case 'rect': {
      const [x, y] = at(shape.x, shape.y + shape.h);
      doc.lineWidth(WIDTHS[shape.look]);
      if (shape.look === 'bleed') doc.dash(2, { space: 2 });
      doc.rect(x, y, shape.w * MM, shape.h * MM).stroke();
      return;
    }
    case 'line': {
      const [dash, space] = DASHES[shape.look];
      doc.lineWidth(shape.look === 'cut' ? 0.25 : 0.4);
      if (space > 0) doc.dash(dash, { space });
      doc
        .moveTo(...at(shape.x1, shape.y1))
        .lineTo(...at(shape.x2, shape.y2))
        .stroke();
      return;
    }
    case 'cross':
      doc.lineWidth(0.3);
      doc
        .moveTo(...at(shape.x - 4, shape.y))
        .lineTo(...at(shape.x + 4, shape.y))
        .stroke();
      doc
        .moveTo(...at(shape.x, shape.y - 4))
        .lineTo(...at(shape.x, shape.y + 4))
        .stroke();
      return;
    case 'text': {
      const points = shape.size * MM;
      const [x, y] = at(shape.x, shape.y);
      doc
        .font('Helvetica')
        .fontSize(points)
        .text(shape.text, x, y - points * 0.8, { lineBreak: false });
    }
  }
}
