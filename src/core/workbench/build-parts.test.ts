import { describe, expect, it } from 'vitest';
import { added, allIn, invertDiff } from '../ledger';
import { asId, type ConnectionId, type PhaseId } from '../shared/ids';
import { el } from '../testing/world';
import {
  did,
  doneAndBack,
  makeWorkbench,
  planned,
  TEST_BUILD,
  testSource,
  withBox,
  zoneId,
} from '../testing/workbench';
import {
  addPhase,
  beginWithLine,
  draftModification,
  readLine,
  addZone,
  archiveBuild,
  deletePhase,
  deleteZone,
  isZoneInUse,
  keepModification,
  nestZone,
  phasesOf,
  changeBuild,
  renamePhase,
  renameZone,
  startWhatIf,
  zonesAround,
  type BoxWish,
} from './index';

const cabin = () =>
  makeWorkbench({ zones: { Wall: ['6 brick 1x2 slate'], Roof: ['4 plate 1x2 ash'], Cellar: [] } });

describe('zones', () => {
  it('come last within another, are renamed and nested', () => {
    const workbench = cabin();
    const porch = addZone(workbench, 'Porch', zoneId('Roof'), testSource());
    doneAndBack(workbench, porch);
    const zone = workbench.records.zone.get(porch.id)!;
    expect(zone).toMatchObject({ name: 'Porch', parent: zoneId('Roof') });
    expect(zone.position).toBe(Math.max(...workbench.zones.map((z) => z.position)));
    doneAndBack(workbench, renameZone(zone, 'Veranda'));
    doneAndBack(workbench, nestZone(workbench.records.zone.get(porch.id)!, zoneId('Wall')));
    expect(workbench.records.zone.get(porch.id)).toMatchObject({ name: 'Veranda', parent: zoneId('Wall') });
  });

  it('may lie in any zone but themselves and what lies in them, however deep', () => {
    const workbench = cabin();
    const loft = addZone(workbench, 'Loft', zoneId('Roof'), testSource('loft'));
    did(workbench, loft);
    const box = addZone(workbench, 'Box', loft.id, testSource('box'));
    did(workbench, box);
    const names = zonesAround(workbench, workbench.records.zone.get(zoneId('Roof'))!).map((z) => z.name);
    expect(names.sort()).toEqual(['Cellar', 'Wall', 'Whole model']);
  });

  it('are in use while pieces, entries, modifications or zones name them, and deleted when nothing does', () => {
    const workbench = cabin();
    const at = (name: string) => workbench.records.zone.get(zoneId(name))!;
    expect(['Wall', 'Roof', 'Cellar'].map((n) => isZoneInUse(workbench, at(n)))).toEqual([true, true, false]);
    const nook = addZone(workbench, 'Nook', zoneId('Cellar'), testSource());
    did(workbench, nook);
    expect(isZoneInUse(workbench, at('Cellar'))).toBe(true);
    doneAndBack(workbench, deleteZone(workbench, workbench.records.zone.get(nook.id)!));
    expect(isZoneInUse(workbench, at('Cellar'))).toBe(false);
    const kept = keepModification(
      workbench,
      null,
      { title: 'Stove', zone: zoneId('Cellar'), phase: null, why: '', note: '' },
      testSource('m'),
    );
    expect(isZoneInUse(did(workbench, kept), at('Cellar'))).toBe(true);
  });

  it('are in use while anything else names them, too; what says where they lie goes with them', () => {
    const workbench = cabin();
    const cellar = () => workbench.records.zone.get(zoneId('Cellar'))!;
    const connection = added('connection', {
      id: asId<ConnectionId>('shelf'),
      build: TEST_BUILD,
      zone: zoneId('Cellar'),
      name: 'Shelf',
      holds: 'clip',
      wide: 1,
      rows: 1,
      lever: 1,
      grams: 1,
      stress: null,
      note: '',
      modification: null,
    });
    did(workbench, { label: '', diff: connection });
    expect(isZoneInUse(workbench, cellar())).toBe(true);
    did(workbench, { label: '', diff: invertDiff(connection) });
    const place = { id: zoneId('Cellar'), build: TEST_BUILD, zone: zoneId('Cellar'), x: 0, y: 0 };
    const size = { width: 4, depth: 4, bottom: 0, height: 9 };
    did(workbench, { label: '', diff: added('zonePlace', { ...place, ...size }) });
    expect(isZoneInUse(workbench, cellar())).toBe(false);
    doneAndBack(workbench, deleteZone(workbench, cellar()));
    expect(workbench.records.zonePlace.size).toBe(0);
  });
});

describe('phases', () => {
  it('stand in their order, the new one last; they are renamed and deleted', () => {
    const workbench = cabin();
    for (const name of ['Shell', 'Inside', 'Roofing'])
      doneAndBack(workbench, addPhase(workbench, name, testSource(name)));
    expect(phasesOf(workbench).map((p) => p.name)).toEqual(['Shell', 'Inside', 'Roofing']);
    doneAndBack(workbench, deletePhase(phasesOf(workbench)[0]!));
    doneAndBack(workbench, renamePhase(phasesOf(workbench)[0]!, 'Rooms'));
    doneAndBack(workbench, addPhase(workbench, 'Garden', testSource('last')));
    expect(phasesOf(workbench).map((p) => p.name)).toEqual(['Rooms', 'Roofing', 'Garden']);
  });
});

describe('a modification', () => {
  const blank = { title: 'Porch', zone: zoneId('Wall'), phase: null, why: '', note: '' };

  it('starts with a zone and a phase that it names anew, in one step', () => {
    const workbench = cabin();
    const command = keepModification(
      workbench,
      null,
      { ...blank, zone: { name: 'Annex' }, phase: { name: 'Later' }, why: 'more room' },
      testSource(),
    );
    doneAndBack(workbench, command);
    const made = workbench.records.modification.get(command.id)!;
    expect(workbench.records.zone.get(made.zone)).toMatchObject({
      name: 'Annex',
      parent: workbench.rootZone.id,
    });
    expect(workbench.records.phase.get(made.phase!)).toMatchObject({ name: 'Later' });
    expect(made).toMatchObject({ title: 'Porch', why: 'more room', no: 1 });
  });

  it('is changed where it stands, keeping its number and its id', () => {
    const workbench = cabin();
    const first = keepModification(workbench, null, blank, testSource('a'));
    did(workbench, first);
    did(workbench, keepModification(workbench, null, { ...blank, title: 'Roof' }, testSource('b')));
    const old = workbench.records.modification.get(first.id)!;
    const phase = addPhase(workbench, 'Shell', testSource('p'));
    did(workbench, phase);
    const to = { title: 'Veranda', zone: zoneId('Roof'), phase: phase.id as PhaseId, why: 'w', note: 'n' };
    const again = keepModification(workbench, old, to, testSource('c'));
    expect(again.id).toBe(first.id);
    doneAndBack(workbench, again);
    expect(workbench.records.modification.get(first.id)).toEqual({ ...old, ...to });
    expect(workbench.modifications.map((m) => m.no)).toEqual([1, 2]);
  });
});

describe('a build and its what-ifs', () => {
  it('is renamed, put into the archive and taken out', () => {
    const workbench = cabin();
    const build = () => workbench.records.build.get(workbench.build)!;
    doneAndBack(workbench, changeBuild(build(), { name: 'Cabin', note: 'by the lake' })!);
    expect(changeBuild(build(), { name: 'Cabin', note: 'by the lake' })).toBeNull();
    doneAndBack(workbench, archiveBuild(build(), true));
    expect(build()).toMatchObject({ name: 'Cabin', note: 'by the lake', archived: true });
    expect(did(workbench, archiveBuild(build(), false)).records.build.get(workbench.build)!.archived).toBe(
      false,
    );
  });

  it('says what its boxes are called and what was paid for them, and every sum counts that', () => {
    const workbench = withBox(cabin(), 'Lock house', { [el('brick 1x2', 'ash')]: 3 }, TEST_BUILD, null);
    const { name, note } = workbench.records.build.get(workbench.build)!;
    const boxes = () => [...workbench.records.copy.values()];
    const [own, broken] = boxes();
    const keep = (...wishes: BoxWish[]) =>
      changeBuild(workbench.records.build.get(TEST_BUILD)!, { name, note }, wishes);
    expect(allIn(workbench.built)).toMatchObject({ boxes: own!.price, unpriced: 3 });
    const wishes = [
      { box: own!, to: { setName: 'Cabin by the lake', price: null } },
      { box: broken!, to: { setName: broken!.setName, price: 450 } },
    ];
    expect(keep(...wishes)!.label).toBe('change 2 boxes');
    expect(keep(wishes[0]!)!.label).toBe('change the box Cabin by the lake');
    doneAndBack(workbench, keep(...wishes)!);
    expect(boxes().map((b) => [b.setName, b.price])).toEqual([
      ['Cabin by the lake', null],
      ['Lock house', 450],
    ]);
    expect(allIn(workbench.built)).toEqual({ cost: 450, boxes: 0, unpriced: 0, unpricedBoxes: 1 });
    expect(keep(...boxes().map((box) => ({ box, to: box })))).toBeNull();
  });

  it('a what-if starts empty, beside what is planned', () => {
    const source = testSource();
    const workbench = planned(cabin(), source, {
      kind: 'remove',
      off: [{ element: el('brick 1x2', 'slate'), qty: 2 }],
    });
    const entries = workbench.entries.length;
    const start = startWhatIf(workbench, 'All white', testSource('w'));
    doneAndBack(workbench, start);
    expect(workbench.records.whatIf.get(start.id)).toMatchObject({ name: 'All white' });
    expect(workbench.entries.filter((e) => e.whatIf === asId(start.id))).toEqual([]);
    expect(workbench.entries).toHaveLength(entries);
  });
});

describe('a line where no modification is chosen', () => {
  it('begins one in its zone, named from what it does, in one step that one undo takes back', () => {
    const workbench = cabin();
    const source = testSource('b');
    const draft = draftModification(workbench, zoneId('Roof'), source);
    const line = '-3 plate 1x2 ash, +1 brick 1x2 slate';
    const reading = readLine(workbench, line, { modification: draft, planned: false });
    expect(reading.ready).toBe(true);
    expect(workbench.modifications).toEqual([]);
    doneAndBack(workbench, beginWithLine(workbench, draft, reading, line, source));
    expect(workbench.modifications).toMatchObject([
      { id: draft.id, no: 1, zone: zoneId('Roof'), title: '3 plate 1x2 ash removed and more' },
    ]);
    expect(workbench.entriesIn(draft.id).map((e) => e.kind)).toEqual(['remove', 'add']);
    expect(workbench.built.figures({ of: 'modification', modification: draft.id })).toMatchObject({
      out: 3,
      in: 1,
    });
  });

  it('is the whole model’s where no zone is chosen', () => {
    const workbench = cabin();
    expect(draftModification(workbench, null, testSource()).zone).toBe(workbench.rootZone.id);
  });
});
