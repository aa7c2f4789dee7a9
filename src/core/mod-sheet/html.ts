import { inkOn, type Colour } from '../colour';
import { drawPart, elementName, paintPart, partOf, splitElementKey, type ElementKey } from '../parts';
import { escaped } from '../shared/escaped';
import type { SheetBlock, SheetDocument } from './document';
import { labelSize, type SheetGuide } from './guides';

export interface HtmlParts {
  readonly palette: readonly Colour[];
  /** Pictures by their photo's name, as data: addresses. One that lacks is left out. */
  readonly pictures: ReadonlyMap<string, string>;
  /** What stands inside as JSON, for whoever wants the mod and not the page; null = nothing. */
  readonly data: object | null;
}

/**
 * A mod sheet as one HTML file that stands alone: pictures and drawings inside, no script, nothing fetched, and a policy that
 * would let nothing be. It prints, and a phone reads it.
 *
 * @returns the text of the file
 */
export function sheetHtml(sheet: SheetDocument, { palette, pictures, data }: HtmlParts): string {
  const drawn = new Drawings(palette);
  const body = sheet.blocks.map((b) => blockHtml(b, drawn, pictures)).join('\n');
  const by = sheet.author ? `<p class="soft">by <bdi>${escaped(sheet.author)}</bdi></p>` : '';
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta http-equiv="Content-Security-Policy" content="${policyFor(sheet.paper)}">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="referrer" content="no-referrer">
<meta name="generator" content="Evarn">
<title>${escaped(sheet.title)}</title>
<style>${styleFor(sheet.paper)}</style>
</head>
<body>
${drawn.defs()}
<main>
<header><h1><bdi>${escaped(sheet.title)}</bdi></h1>${by}</header>
${body}
</main>
${data ? `<script type="application/json" id="mod">${jsonInside(data)}</script>` : ''}
</body>
</html>
`;
}

/** Nothing is fetched and nothing runs: pictures are in the file, and so is its look. */
const policyFor = (paper: SheetDocument['paper']): string =>
  `default-src 'none'; img-src data:; style-src '${STYLE_HASH[paper]}'; base-uri 'none'; form-action 'none'`;

/** The one style that the policy lets through, by its SHA-256; a test works them out anew. */
const STYLE_HASH: Readonly<Record<SheetDocument['paper'], string>> = {
  A4: 'sha256-/fdor5oTGT7GBk+0sdcfWOfQ9CN0J+P8xM45D5UmU1g=',
  Letter: 'sha256-7U2msu13QXTw1BWiJgljanFO/aKYS0N4t7MmdocEF2Y=',
};

export const styleFor = (paper: SheetDocument['paper']): string => STYLE.replace('SIZE', paper);

const STYLE = `
@page{size:SIZE;margin:14mm}
:root{color-scheme:light}
body{font:15px/1.45 system-ui,sans-serif;color:#161616;background:#fff;margin:0}
main{max-width:52rem;margin:0 auto;padding:1rem}
h1{font-size:1.7rem;line-height:1.2;margin:0}
h2{font-size:1.2rem;margin:1.6rem 0 .3rem;border-bottom:1px solid #bbb;break-after:avoid}
h3{font-size:1rem;margin:1rem 0 .2rem;break-after:avoid}
p{margin:.3rem 0;max-width:42rem;overflow-wrap:anywhere}
ul{margin:.3rem 0;padding-left:1.2rem}
.soft{color:#5a5a5a}
.wide{overflow-x:auto}
table{border-collapse:collapse;width:100%;font-size:.93rem}
th,td{text-align:left;padding:.2rem .6rem .2rem 0;border-bottom:1px solid #ddd;vertical-align:top}
th{font-weight:600}
.parts{list-style:none;padding:0;display:grid;grid-template-columns:repeat(auto-fill,minmax(13rem,1fr));gap:.1rem .8rem}
.parts li,.change li{display:flex;align-items:center;gap:.5rem;min-width:0;break-inside:avoid}
.change{list-style:none;padding:0;margin:.2rem 0;display:flex;flex-wrap:wrap;gap:.1rem 1rem;align-items:center}
.change li.to{font-weight:600}
svg.p{width:38px;height:38px;flex:none}
svg.g{max-width:100%;height:auto;display:block}
svg.out{opacity:.45}
svg.defs{position:absolute;width:0;height:0}
figure{margin:.4rem 0;break-inside:avoid}
.pics{display:flex;flex-wrap:wrap;gap:.8rem}
.pics figure{flex:1 1 15rem}
img{max-width:100%;height:auto;display:block}
dl{display:grid;grid-template-columns:max-content 1fr;gap:.1rem 1rem;margin:.3rem 0}
dt{color:#5a5a5a}
dd{margin:0;overflow-wrap:anywhere}
@media (max-width:30rem){dl{grid-template-columns:1fr}dd{margin-bottom:.3rem}}
`;

/** JSON that can't end the element it stands in. */
const jsonInside = (data: object): string =>
  JSON.stringify(data)
    .replace(/</g, '\\u003c')
    .replace(/\u2028/g, '\\u2028')
    .replace(/\u2029/g, '\\u2029');

/** Each part is drawn once, and used wherever it stands. */
class Drawings {
  private readonly ids = new Map<ElementKey, string>();
  private readonly made: string[] = [];
  private readonly colours: ReadonlyMap<string, Colour>;

  constructor(palette: readonly Colour[]) {
    this.colours = new Map(palette.map((c) => [c.id, c]));
  }

  use(element: ElementKey, isOut = false): string {
    const id = this.ids.get(element) ?? this.draw(element);
    return `<svg class="p${isOut ? ' out' : ''}" aria-hidden="true"><use href="#${id}"/></svg>`;
  }

  private draw(element: ElementKey): string {
    const id = `p${this.ids.size}`;
    this.ids.set(element, id);
    const { part, colour } = splitElementKey(element);
    const drawing = drawPart(partOf(part));
    const { faces, edge, opacity } = paintPart(drawing, this.colours.get(colour));
    const [x, y, w, h] = drawing.box;
    const side = Math.max(w, h, 3.8) * 1.06;
    const view = [x + w / 2 - side / 2, y + h / 2 - side / 2, side, side].map((n) => n.toFixed(2)).join(' ');
    const paths = faces.map((f) => `<path d="${f.d}" fill="${f.fill}"/>`).join('');
    this.made.push(
      `<symbol id="${id}" viewBox="${view}"><g stroke="${edge}" stroke-width="${(side / 48).toFixed(3)}" stroke-linejoin="round" fill-opacity="${opacity}">${paths}</g></symbol>`,
    );
    return id;
  }

  /** A guide at its proportions, no wider than the page. */
  guide({ says, w, h, rects }: SheetGuide): string {
    const drawn = rects.map((r) => {
      const colour = r.colour === null ? undefined : this.colours.get(r.colour);
      const fill = r.colour === null ? 'none' : (colour?.hex ?? '#9a9a9a');
      const ink = r.colour === null ? '#161616' : inkOn(colour);
      const size = labelSize(r);
      const label = size
        ? `<text x="${mm(r.x + r.w / 2)}" y="${mm(r.y + r.h / 2 + size * 0.35)}" font-size="${mm(size)}" text-anchor="middle" fill="${ink}">${escaped(r.label)}</text>`
        : '';
      return `<rect x="${mm(r.x)}" y="${mm(r.y)}" width="${mm(r.w)}" height="${mm(r.h)}" fill="${fill}" stroke="#161616" stroke-width=".3"/>${label}`;
    });
    const said = escaped(says);
    return `<figure><svg class="g" viewBox="-1 -1 ${mm(w + 2)} ${mm(h + 2)}" width="${mm((w + 2) * 3)}" role="img" aria-label="${said}">${drawn.join('')}</svg><figcaption>${said}</figcaption></figure>`;
  }

  defs(): string {
    return `<svg class="defs" aria-hidden="true">${this.made.join('')}</svg>`;
  }
}

const mm = (n: number): string => String(Math.round(n * 100) / 100);

const named = ({ element, qty }: { element: ElementKey; qty: number }): string =>
  `<b>${qty}</b> <bdi>${escaped(elementName(element))}</bdi>`;

function blockHtml(b: SheetBlock, drawn: Drawings, pictures: ReadonlyMap<string, string>): string {
  switch (b.is) {
    case 'heading':
      return `<h${b.level}><bdi>${escaped(b.text)}</bdi></h${b.level}>`;
    case 'text':
      return `<p${b.soft ? ' class="soft"' : ''}>${escaped(b.text)}</p>`;
    case 'list':
      return `<ul>${b.items.map((i) => `<li>${escaped(i)}</li>`).join('')}</ul>`;
    case 'facts':
      return `<dl>${b.rows.map(([k, v]) => `<dt>${escaped(k)}</dt><dd>${escaped(v)}</dd>`).join('')}</dl>`;
    case 'table':
      return tableHtml(b.head, b.rows);
    case 'parts':
      return `<ul class="parts">${b.lots.map((l) => `<li>${drawn.use(l.element)}<span>${named(l)}</span></li>`).join('')}</ul>`;
    case 'change':
      return changeHtml(b, drawn);
    case 'guide':
      return drawn.guide(b);
    case 'pictures':
      return picturesHtml(b, pictures);
  }
}

function tableHtml(head: readonly string[], rows: readonly (readonly string[])[]): string {
  const top = head.map((h) => `<th scope="col">${escaped(h)}</th>`).join('');
  const body = rows
    .map(
      (r) =>
        `<tr>${r.map((c, i) => (i === 0 ? `<th scope="row">${escaped(c)}</th>` : `<td>${escaped(c)}</td>`)).join('')}</tr>`,
    )
    .join('');
  return `<div class="wide"><table><thead><tr>${top}</tr></thead><tbody>${body}</tbody></table></div>`;
}

function changeHtml(b: Extract<SheetBlock, { is: 'change' }>, drawn: Drawings): string {
  const items = [
    ...(b.where ? [`<li class="to">${escaped(b.where)}</li>`] : []),
    ...b.off.map((l) => `<li>${drawn.use(l.element, true)}<span>${named(l)} off</span></li>`),
    ...b.on.map((l) => `<li>${drawn.use(l.element)}<span>${named(l)} on</span></li>`),
  ];
  return `<ul class="change">${items.join('')}</ul>`;
}

function picturesHtml(
  b: Extract<SheetBlock, { is: 'pictures' }>,
  pictures: ReadonlyMap<string, string>,
): string {
  const figures = b.pictures.flatMap((p) => {
    const src = pictures.get(p.photo);
    return src && /^data:image\/(webp|png|jpeg);base64,[A-Za-z0-9+/=]*$/.test(src)
      ? [
          `<figure><img src="${src}" alt="${escaped(p.says)}"><figcaption>${escaped(p.says)}</figcaption></figure>`,
        ]
      : [];
  });
  return figures.length > 0 ? `<div class="pics">${figures.join('')}</div>` : '';
}
