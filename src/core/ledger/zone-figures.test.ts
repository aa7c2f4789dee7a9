import { describe, expect, it } from 'vitest';
import type { ZoneId } from '../shared/ids';
import { modelAccount, zoneOf } from '../places';
import { randomLog, ZONES } from '../testing/world';
import type { Books } from './books';
import { did, makeWorkbench, testSource, zoneId } from '../testing/workbench';
import { addModification, addZone, logLine, readLine, type Workbench } from '../workbench';

/** A box that knows no zones: all of it lies in the whole model, and the zone is made by hand. */
function plainBox() {
  const made = makeWorkbench({
    zones: { Spare: ['1 brick 1x1 ash'] },
    stock: ['20 brick 1x2 chalk', '9 tile 1x2 bark'],
  });
  const kitchen = addZone(made, 'Kitchen', made.rootZone.id, testSource('z'));
  did(made, kitchen);
  return { w: made, kitchen: kitchen.id };
}

const log = (w: Workbench, zone: ZoneId, title: string, lines: readonly string[]) => {
  const added = addModification(w, title, zone, testSource(title));
  did(w, added);
  for (const line of lines) {
    const modification = w.records.modification.get(added.id)!;
    const reading = readLine(w, line, { modification, planned: false });
    if (!reading.ready) throw new Error(`${line}: ${JSON.stringify(reading.clauses.map((c) => c.problem))}`);
    did(w, logLine(w, reading, line, testSource(`${title}${line}`)));
  }
  return added.id;
};
const of = (w: Workbench, zone: ZoneId) => w.built.figures({ of: 'zone', zone });

describe('what is logged in a zone counts there, however the box was unpacked', () => {
  it('taken off in a zone, though the pieces lay in no zone: the zone’s own sum is right', () => {
    const { w, kitchen } = plainBox();
    const root = w.rootZone.id;
    // The box is put into the whole model, as an inventory without zones is.
    log(w, root, 'Box', ['+40 brick 1x2 ash own', '+12 slope 45 2x2 slate own']);
    log(w, kitchen, 'Refit', ['-8 brick 1x2 ash', '+8 brick 1x2 chalk']);
    expect(of(w, kitchen)).toMatchObject({ out: 8, in: 8, net: 0, onModel: 8 });
    expect(of(w, root)).toMatchObject({ out: 8, in: 60, net: 52 });
    expect(w.built.figures({ of: 'build' })).toMatchObject({ out: 8, in: 60 });
  });

  it('a line that names a zone counts there and not in its modification’s; one that is edited says its zone again', () => {
    const { w, kitchen } = plainBox();
    const root = w.rootZone.id;
    log(w, root, 'Box', ['+40 brick 1x2 ash own']);
    log(w, zoneId('Spare'), 'Elsewhere', ['-5 brick 1x2 ash @kitchen']);
    expect(of(w, kitchen)).toMatchObject({ out: 5, net: -5, onModel: 0 });
    expect(of(w, zoneId('Spare'))).toMatchObject({ out: 0, net: 0 });
    const entry = w.entries.find((e) => e.kind === 'remove')!;
    expect(entry.zone).toBe(kitchen);
  });

  it('what lay in a nested zone counts in both, once in the one around it', () => {
    const { w, kitchen } = plainBox();
    const shelf = addZone(w, 'Shelf', kitchen, testSource('s'));
    did(w, shelf);
    log(w, shelf.id, 'Shelf', ['+6 tile 1x2 bark']);
    log(w, kitchen, 'Kitchen', ['-4 tile 1x2 bark']);
    expect(of(w, shelf.id)).toMatchObject({ in: 6, out: 4, onModel: 2 });
    expect(of(w, kitchen)).toMatchObject({ in: 6, out: 4, onModel: 2 });
  });

  it('an entry of before zones were kept counts where its pieces lay', () => {
    const { w, kitchen } = plainBox();
    log(w, w.rootZone.id, 'Box', ['+40 brick 1x2 ash own']);
    log(w, kitchen, 'Refit', ['-8 brick 1x2 ash']);
    const old = w.entries.find((e) => e.kind === 'remove')!;
    w.built.unpost(old);
    w.built.post({ ...old, zone: null });
    expect(of(w, kitchen)).toMatchObject({ out: 0 });
  });

  it('the terms of every zone add up to what lies in it, whatever is logged', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const { planned, built } = randomLog(seed, 60);
      for (const books of [built, planned])
        for (const z of ZONES) {
          const f = books.figures({ of: 'zone', zone: z.id });
          const inside = [...books.nested(z.id)].reduce(
            (s, id) => s + books.balances.total(modelAccount(id)),
            0,
          );
          const sum =
            f.shipped - f.out + f.in - f.missing + f.missingReplaced + f.movedIn - f.movedOut + f.fromNoZone;
          const replaced = f.recoloured + f.renewed + f.replaced;
          expect([seed, z.name, f.onModel]).toEqual([seed, z.name, inside]);
          expect([seed, z.name, sum + replaced - evenOut(books, z.id)]).toEqual([seed, z.name, inside]);
        }
    }
  });
});

/** Pieces that a zone lost to recolouring, renewing and replacing: as many come back, not always to the same zone. */
function evenOut(books: Books, zone: ZoneId): number {
  const zones = books.nested(zone);
  let sum = 0;
  for (const e of books.entries)
    if (['recolour', 'renew', 'replacement'].includes(e.kind))
      for (const m of e.movements) {
        const from = zoneOf(m.from);
        if (from && !zoneOf(m.to) && (zones.has(from) || (e.zone && zones.has(e.zone)))) sum += m.qty;
      }
  return sum;
}
