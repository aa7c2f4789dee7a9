import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { changed } from '@/core/ledger';
import { mismatchAnswerSchema } from '@/core/formats/mismatch-model';
import { currentRevision } from '@/data/actions';
import { at, of, post, said } from '@/server/testing/requests';
import { SMALL_BOX, servedBuild } from '@/server/testing/workspace';
import * as actions from './actions/route';
import * as events from './events/route';
import * as files from './builds/[build]/files/[file]/route';
import * as snapshot from './builds/[build]/snapshot/route';
import * as catalogue from './catalogue/[code]/route';
import * as read from './import/read/route';
import * as take from './import/take/route';
import * as sourcing from './buying-plan/route';
import * as cut from './cut/route';
import * as lay from './lay/route';
import * as check from './market/check/route';
import * as parcels from './market/parcels/route';
import * as plan from './market/plan/route';
import * as mismatches from './mismatches/route';
import * as modFile from './mod-file/route';
import * as needs from './needs/route';
import * as photos from './photos/route';
import * as steps from './steps/route';
import * as undoRedo from './undo/route';

let { t, end } = {} as ReturnType<typeof servedBuild>;
beforeEach(() => void ({ t, end } = servedBuild()));
afterEach(() => end());

describe('acting over the network', () => {
  const rename = (name: string, id = 'a1') => {
    const build = t.open().records.build.get(t.build)!;
    const diff = changed('build', build, { name });
    return { id, scope: t.build, label: 'name it', diff };
  };

  it('an action is carried out once, however often it is sent, and is seen by whoever asks', async () => {
    const before = (await said(steps.GET(new Request(at('steps'))))) as unknown as {
      value: { revision: number };
    };
    const wish = rename('Quay house');
    const [first, second] = [
      await said(actions.POST(post('actions', wish))),
      await said(actions.POST(post('actions', wish))),
    ];
    expect(first).toMatchObject({ status: 200, ok: true, value: { label: 'name it' } });
    expect(second.value).toEqual(first.value);
    const since = await said(steps.GET(new Request(at(`steps?since=${before.value.revision}`))));
    expect(since).toMatchObject({ value: { steps: [{ request: 'a1', label: 'name it', direction: 'do' }] } });
    // A revision that is no number, or of the future, cannot be caught up with step by step.
    for (const odd of ['x', '1e9', '-'])
      expect(await said(steps.GET(new Request(at(`steps?since=${odd}`))))).toMatchObject({
        value: { steps: null },
      });
  });

  it('whoever listens hears of it as it happens, with the difference it made', async () => {
    const before = currentRevision(t.handle.db);
    const gone = new AbortController();
    const response = await events.GET(new Request(at(`events?since=${before}`), { signal: gone.signal }));
    expect(response.headers.get('content-type')).toBe('text/event-stream');
    const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
    await actions.POST(post('actions', rename('Quay house')));
    let heard = '';
    while (!heard.includes('data:')) heard += (await reader.read()).value ?? '';
    const said_ = JSON.parse(/data: (.*)/.exec(heard)![1]!) as { revision: number; steps: object[] };
    expect(said_).toMatchObject({
      revision: before + 1,
      steps: [{ request: 'a1', scopes: [t.build], diff: { changed: [{ to: { name: 'Quay house' } }] } }],
    });
    gone.abort();
  });

  it('what was changed meanwhile is a conflict, and nothing is written', async () => {
    const [mine, theirs] = [rename('Mine', 'm'), rename('Theirs', 'n')];
    expect(await said(actions.POST(post('actions', theirs)))).toMatchObject({ ok: true });
    expect(await said(actions.POST(post('actions', mine)))).toMatchObject({
      status: 409,
      ok: false,
      reason: { refused: 'conflict' },
    });
    expect(t.open().records.build.get(t.build)!.name).toBe('Theirs');
  });

  it('undo and redo turn the last action; a wish sent twice turns once', async () => {
    await actions.POST(post('actions', rename('Quay house')));
    const name = () => t.open().records.build.get(t.build)!.name;
    const undo = { request: 'u1', scope: t.build, direction: 'undo', action: 'a1' };
    expect(await said(undoRedo.POST(post('turns', undo)))).toMatchObject({ value: { label: 'name it' } });
    expect(name()).toBe('Test house');
    await undoRedo.POST(post('turns', undo));
    expect(name()).toBe('Test house');
    await undoRedo.POST(post('turns', { request: 'r1', scope: t.build, direction: 'redo', action: 'a1' }));
    expect(name()).toBe('Quay house');
    expect(
      await said(undoRedo.POST(post('turns', { ...undo, request: 'x', scope: 'nobody' }))),
    ).toMatchObject({
      status: 409,
      reason: { refused: 'nothing to undo' },
    });
  });

  it.each([
    ['an action without an id', actions.POST, 'actions', { scope: 's', label: 'l', diff: {} }],
    ['an action that is no JSON', actions.POST, 'actions', '{'],
    ['a turn in no direction', undoRedo.POST, 'turns', { request: 'a', scope: 'b', direction: 'up' }],
    [
      'a question with a part that is no part',
      parcels.POST,
      'market/parcels',
      { orders: [{ lots: ['brick'] }] },
    ],
    ['a need without a wish', plan.POST, 'market/plan', { lots: [] }],
    ['a plan to check that is none', check.POST, 'market/check', { asked: {} }],
    ['boxes that are none', take.POST, 'import/take', { what: 'boxes', input: {} }],
    ['a wall without parts', lay.POST, 'lay', { problem: { kind: 'walls', walls: [] } }],
    [
      'a strip that is a word long',
      cut.POST,
      'cut',
      { problem: { fields: [], strips: [{ id: 's', w: 'x' }] } },
    ],
    [
      'two strips of one name',
      cut.POST,
      'cut',
      {
        problem: {
          kerf: 0,
          margin: 0,
          tolerance: 1,
          fields: [],
          strips: [1, 2].map((l) => ({ id: 's', w: 1, l, count: 1, lab: [0, 0, 0] })),
        },
      },
    ],
    ['a buying plan without a problem', sourcing.POST, 'buying-plan', { options: { seconds: 1 } }],
  ] as const)('%s is refused at the door', async (_, route, path, body) =>
    expect(await said(route(post(path, body)))).toMatchObject({ status: 400, ok: false }),
  );
});

describe('what a build is asked for', () => {
  it('its snapshot, and none of a build that is not there', async () => {
    expect(await said(snapshot.GET(post('', ''), of({ build: t.build })))).toMatchObject({
      value: { build: t.build },
    });
    expect(await said(snapshot.GET(post('', ''), of({ build: 'none' })))).toMatchObject({ status: 404 });
  });

  it('its files by name, as what they are', async () => {
    const get = (build: string, file: string) => files.GET(post('', ''), of({ build, file }));
    const csv = await get(t.build, 'worklog.csv');
    expect([csv.status, csv.headers.get('content-type'), csv.headers.get('content-disposition')]).toEqual([
      200,
      'text/csv; charset=utf-8',
      'attachment; filename="test-house-worklog.csv"',
    ]);
    expect((await get(t.build, 'mod.json')).headers.get('content-type')).toContain('application/json');
    expect(await said(get(t.build, 'secrets.csv'))).toMatchObject({ reason: { refused: 'no such file' } });
    expect(await said(get('none', 'mod.json'))).toMatchObject({ reason: { refused: 'no such build' } });
  });

  it('a set that the catalogue has not', async () =>
    expect(await said(catalogue.GET(post('', ''), of({ code: 'N%20one' })))).toMatchObject({ status: 404 }));

  it('what all builds lack', async () => {
    t.log('+7 plate 1x8 kelp plan');
    const all = await said(needs.GET(post('', '')));
    expect(all).toMatchObject({
      value: [{ build: t.build, missing: 7, lots: [{ element: 'plate 1x8|kelp', qty: 7, hidden: false }] }],
    });
  });
});

describe('importing', () => {
  it('a table is read and nothing kept; what was agreed to is taken whole, once', async () => {
    const table = await said(read.POST(post('import/read', 'part,colour,qty\nbrick 1x2,ash,4\n')));
    expect(table).toMatchObject({ status: 200, value: { rows: [['brick 1x2', 'ash', '4']] } });
    expect(await said(read.POST(post('import/read', '')))).toMatchObject({ status: 400 });
    const wish = { what: 'boxes', input: { ...SMALL_BOX, build: { name: 'Another' }, request: 'req-1' } };
    const first = await said(take.POST(post('import/take', wish)));
    expect(first).toMatchObject({ status: 200, ok: true });
    await take.POST(post('import/take', wish));
    const all = (await said(needs.GET(post('', '')))) as unknown as { value: { name: string }[] };
    expect(all.value.map((b) => b.name).sort()).toEqual(['Another', 'Test house']);
  });

  it('a mod file comes in beside the build it was made of; another file is told what it is not', async () => {
    const made = await (await files.GET(post('', ''), of({ build: t.build, file: 'mod.json' }))).text();
    const send = (text: string) => said(modFile.POST(post('mod-file', text, { 'x-request-id': 'once' })));
    const brought = await send(made);
    expect(brought).toMatchObject({ status: 200, ok: true });
    expect(await send(made)).toMatchObject({ ok: true });
    const all = (await said(needs.GET(post('', '')))) as unknown as { value: unknown[] };
    expect(all.value).toHaveLength(2);
    expect(await said(modFile.POST(post('mod-file', '{}')))).toMatchObject({
      status: 400,
      reason: { fault: 'not a mod file' },
    });
  });

  it('a photo without a name, or that is none, is not kept', async () => {
    for (const query of ['', '?id=short', '?id=../../etc/passwd'])
      expect(await said(photos.POST(post(`photos${query}`, 'x')))).toMatchObject({ status: 400 });
    expect(
      await said(photos.POST(post(`photos?id=photo-0001&build=${t.build}`, 'no picture'))),
    ).toMatchObject({
      status: 400,
    });
  });
});

describe('the mismatches of a model that is sent', () => {
  const ask = (zones: unknown) => mismatches.POST(post('mismatches', { model: { zones } }));
  const hall = [
    { part: 'brick 1x2', colour: 'ash', qty: 40 },
    { part: 'Brick 1 x 2', colour: 'dove', qty: 2 },
    { part: 'brick 1x4', colour: 'ash', qty: 30 },
  ];

  it('names part and colour as they came, the surest first', async () => {
    const answer = (await (await ask([{ name: 'Hall', lots: hall }])).json()) as { mismatches: object[] };
    expect(answer).toEqual({
      mismatches: [
        {
          zone: 'Hall',
          part: 'Brick 1 x 2',
          colour: 'dove',
          qty: 2,
          to: 'ash',
          kind: 'near',
          sure: expect.any(Number),
        },
      ],
    });
    expect(mismatchAnswerSchema.safeParse(answer).success).toBe(true);
  });

  it('understands everyday words for colours, and says which name it does not know and where', async () => {
    const white = await ask([{ name: 'Hall', lots: [{ part: 'brick 1x2', colour: 'white', qty: 3 }] }]);
    expect([white.status, await white.json()]).toEqual([200, { mismatches: [] }]);
    expect(
      await said(ask([{ name: 'Hall', lots: [{ part: 'brick', colour: 'zzz', qty: 3 }] }])),
    ).toMatchObject({
      status: 400,
      reason: { where: 'the zone Hall', says: expect.stringContaining('zzz') },
    });
  });

  it('is refused where it has no shape, and answers an empty model', async () => {
    expect(
      await said(ask([{ name: 'Hall', lots: [{ part: 'brick', colour: 'ash', qty: 0 }] }])),
    ).toMatchObject({
      status: 400,
      reason: { where: 'model.zones.0.lots.0.qty' },
    });
    expect(await (await ask([])).json()).toEqual({ mismatches: [] });
  });
});
