import { describe, expect, it } from 'vitest';
import { statesOf } from '../need';
import { el } from '../testing/world';
import { did, logLines, makeWorkbench, testSource, withBox, zoneId } from '../testing/workbench';
import { addModification, type Workbench } from '../workbench';
import { cameFromTable, inventoryTable, sparesTable, worklogTable, writeCsv, type ListTable } from './index';

/** Lines in a modification of their own. */
const lines = (workbench: Workbench, ...texts: readonly string[]): Workbench =>
  logLines(did(workbench, addModification(workbench, 'New porch', zoneId('Porch'), testSource('m'))), texts);
const house = () =>
  makeWorkbench({
    zones: {
      Porch: ['40 plate 2x3 chalk', '12 brick 1x2 ash'],
      Gallery: ['3 brick 1x2 ash new', '2 arch 1x4 ash'],
    },
    stock: ['4 tile 1x2 bark'],
    prices: ['plate 2x3 chalk 12', 'brick 1x2 ash 9', 'tile 1x2 bark 5'],
  });
const fileOf = (workbench: Workbench) => ({
  books: workbench.built,
  zones: workbench.zones,
  modifications: workbench.modifications,
  palette: workbench.palette,
  priceOf: workbench.priceOf,
});
const asRecords = ({ heading, rows }: ListTable) =>
  rows.map((r) => Object.fromEntries(heading.map((h, i) => [h, r[i]])));
const worklog = (workbench: Workbench) => {
  const logged = workbench.entries.filter((e) => e.no > 0);
  return asRecords(worklogTable(fileOf(workbench), logged, statesOf(workbench, { of: 'build' })));
};

describe('the worklog as a list', () => {
  it('says of each entry where it stands, what went off and on, and what it came to', () => {
    const rows = worklog(
      lines(
        house(),
        '-2 plate 2x3 chalk, +3 tile 1x2 bark @Porch #style',
        '+2 brick 1x2 ash hidden @Gallery bought at 0.10',
        '+1 arch 1x4 ash @Porch own',
      ),
    );
    expect(rows).toHaveLength(4);
    const [off, on, bought, unpriced] = rows;
    const where = { modification: 'M01', title: 'New porch', zone: 'Porch', state: 'done', why: 'style' };
    expect(off).toMatchObject({
      ...where,
      ...{ entry: 1, 'off qty': 2, 'off part': 'plate 2x3 chalk', 'on qty': 0, 'on part': '' },
      ...{
        out: 2,
        in: 0,
        net: -2,
        'out of pocket': '0.00',
        'without a price': 0,
        had: '',
        bought: '',
        hidden: '',
      },
    });
    expect(on).toMatchObject({
      ...where,
      ...{ entry: 2, 'off qty': 0, 'off part': '', 'on qty': 3, 'on part': 'tile 1x2 bark' },
      ...{ out: 0, in: 3, net: 3, had: 3, bought: '' },
    });
    expect(bought).toMatchObject({
      zone: 'Gallery',
      'off qty': 0,
      'off part': '',
      'on qty': 2,
      'out of pocket': '0.20',
      bought: 2,
      'bought paid': '0.20',
      had: '',
      'had worth': '',
      hidden: 'yes',
      logged: '2026-11-24T10:00:00Z',
    });
    // Nobody knows what an arch is worth: that is not nothing.
    expect(unpriced).toMatchObject({ 'without a price': 1, worth: '', had: 1, 'had worth': '' });
  });

  it('joins several kinds, and both zones of what was moved', () => {
    const workbench = lines(house(), '-2 plate 2x3 chalk @Porch', '>2 brick 1x2 ash : porch to gallery');
    const [off, moved] = workbench.entries.filter((e) => e.no > 0);
    const [movement] = off!.movements;
    const both = {
      ...off!,
      movements: [movement!, { ...movement!, element: el('brick 1x2', 'ash'), qty: 1 }],
    };
    const rows = asRecords(worklogTable(fileOf(workbench), [both, moved!], []));
    expect(rows[0]).toMatchObject({ 'off qty': 3, 'off part': 'plate 2x3 chalk + brick 1x2 ash' });
    expect(rows[1]).toMatchObject({ zone: 'Porch + Gallery', out: 0, in: 0, had: '', 'to buy': '' });
    const apart = asRecords(
      worklogTable(fileOf(workbench), [{ ...off!, modification: null, why: null }], []),
    );
    expect(apart[0]).toMatchObject({ modification: '', title: '', why: '' });
  });
});

describe('what is on the model, and what is spare, as lists', () => {
  it('has a row for each element, condition and zone, by family, and no price where none is known', () => {
    const rows = asRecords(inventoryTable(fileOf(house())));
    expect(rows.map((r) => [r.part, r.colour, r.quantity, r.condition, r.zone, r.price, r.worth])).toEqual([
      ['arch 1x4', 'ash', 2, 'used', 'Gallery', '', ''],
      ['brick 1x2', 'ash', 12, 'used', 'Porch', '0.06', '0.72'],
      ['brick 1x2', 'ash', 3, 'new', 'Gallery', '0.09', '0.27'],
      ['plate 2x3', 'chalk', 40, 'used', 'Porch', '0.08', '3.20'],
    ]);
    expect(rows[0]).toMatchObject({
      family: 'arch',
      print: '',
      hex: expect.stringMatching(/^#[0-9a-f]{6}$/i),
    });
  });

  it('leaves out what is all gone, and has spares without a zone', () => {
    const workbench = lines(house(), '-12 brick 1x2 ash @Porch', '-5 plate 2x3 chalk @Porch');
    const left = asRecords(inventoryTable(fileOf(workbench)));
    expect(left.map((r) => [r.part, r.quantity, r.zone])).toEqual([
      ['arch 1x4', 2, 'Gallery'],
      ['brick 1x2', 3, 'Gallery'],
      ['plate 2x3', 35, 'Porch'],
    ]);
    const spares = sparesTable(fileOf(workbench));
    expect(spares.heading).not.toContain('zone');
    expect(asRecords(spares).map((r) => [r.part, r.quantity, r.condition, r.worth])).toEqual([
      ['brick 1x2', 12, 'used', '0.72'],
      ['plate 2x3', 5, 'used', '0.40'],
    ]);
  });

  it('names a colour that the palette lacks by its id', () => {
    const workbench = house();
    const bare = { ...fileOf(workbench), palette: [] };
    expect(asRecords(inventoryTable(bare))[0]).toMatchObject({ colour: 'ash', hex: '' });
  });
});

describe('what came from which box, as a list', () => {
  it('has the zone, the box and the part of each, in that order', () => {
    const workbench = withBox(house(), 'Tram', { [el('brick 1x4', 'kelp')]: 9, [el('arch 1x4', 'kelp')]: 2 });
    lines(workbench, '+3 brick 1x4 kelp @Porch', '+1 arch 1x4 kelp @Porch', '+4 brick 1x4 kelp @Gallery');
    const rows = asRecords(
      cameFromTable(fileOf(workbench), (origin) => (origin.from === 'box' ? 'Tram' : origin.from)),
    ).filter((r) => r.colour === 'kelp');
    expect(rows.map((r) => [r.zone, r.from, r.part, r.quantity])).toEqual([
      ['Gallery', 'Tram', 'brick 1x4', 4],
      ['Porch', 'Tram', 'arch 1x4', 1],
      ['Porch', 'Tram', 'brick 1x4', 3],
    ]);
  });
});

describe('cells of a CSV', () => {
  const cell = (text: string | number) => writeCsv({ heading: ['a'], rows: [[text]] }).split('\r\n')[1];

  it.each([
    ['=1+1', "'=1+1"],
    ['  +2', "'  +2"],
    ['−3', "'−3"],
    ['a;=1', "a;'=1"],
    ['a|@x', "a|'@x"],
    ['plain - text', 'plain - text'],
    ['x=1', 'x=1'],
  ])('%s is no formula', (text, written) => expect(cell(text)).toBe(written));

  it('that are numbers stay numbers', () => expect(cell(-3)).toBe('-3'));

  it('that begin with a tab or a line break are told apart', () => {
    expect(cell('\tx')).toBe("'\tx");
    expect(writeCsv({ heading: ['a'], rows: [['b\n=1']] })).toContain("b\n'=1");
  });
});
