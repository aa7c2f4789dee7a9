// @vitest-environment happy-dom
import { act, cleanup, render } from '@testing-library/react';
import { useState } from 'react';
import { renderToString } from 'react-dom/server';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Awake } from './awake';
import { keepEarly, type Early } from './keep-early';

/** A form as a screen has it: what is typed and ticked is told by the program, and sending it too. */
function Form({ sent }: { readonly sent: (said: string) => void }) {
  const [line, setLine] = useState('');
  const [sure, setSure] = useState(false);
  const [zone, setZone] = useState('wall');
  return (
    <form onSubmit={(e) => (e.preventDefault(), sent(`${line} ${String(sure)} ${zone}`))}>
      <input type="text" value={line} onChange={(e) => setLine(e.target.value)} />
      <input type="checkbox" checked={sure} onChange={(e) => setSure(e.target.checked)} />
      <select value={zone} onChange={(e) => setZone(e.target.value)}>
        <option>wall</option>
        <option>roof</option>
      </select>
      <button disabled={line === ''}>Log</button>
      <button type="button" onClick={() => sent('other')}>
        Other
      </button>
      <Awake />
    </form>
  );
}

const sent = vi.fn<(said: string) => void>();
const at = <T extends Element>(selector: string) => document.querySelector<T>(selector)!;
const has = (field: Element) => field.dispatchEvent(new Event('input', { bubbles: true }));

let stop = vi.fn<Early['stop']>();
/** What was kept has been done: nothing more is. */
const settle = () =>
  act(() =>
    vi.waitFor(() => expect(stop).toHaveBeenCalledWith(['input', 'keydown']), {
      interval: 5,
      timeout: 60_000,
    }),
  );

/** The program has come, and done what was waiting for it. */
async function wake() {
  render(<Form sent={sent} />, { container: document.body, hydrate: true });
  await settle();
}

beforeEach(() => {
  sent.mockClear();
  document.body.innerHTML = renderToString(<Form sent={sent} />);
  keepEarly();
  const early = window.evarnEarly!;
  stop = vi.fn(early.stop);
  Object.assign(early, { stop });
});
afterEach(cleanup);

it('what was typed, ticked and chosen is what the program has when it comes', async () => {
  at<HTMLInputElement>('[type=text]').value = '-2 brick';
  has(at('[type=text]'));
  at<HTMLInputElement>('[type=checkbox]').click();
  at<HTMLSelectElement>('select').value = 'roof';
  has(at('select'));
  await wake();
  act(() => at<HTMLButtonElement>('button').click());
  expect(sent.mock.calls).toEqual([['-2 brick true roof']]);
});

it('the button that was pressed last is pressed once, and its form is not sent by the browser', async () => {
  const left = vi.fn((e: Event) => expect(e.defaultPrevented).toBe(true));
  document.addEventListener('submit', left);
  at<HTMLInputElement>('[type=text]').value = '+1 tile';
  has(at('[type=text]'));
  at<HTMLButtonElement>('[type=button]').click();
  at('form').dispatchEvent(new Event('submit', { bubbles: true, cancelable: true }));
  document.removeEventListener('submit', left);
  expect(left).toHaveBeenCalledOnce();
  await wake();
  expect(sent.mock.calls).toEqual([['other']]);
});

it('who goes on typing as the page wakes up keeps every letter', async () => {
  const line = at<HTMLInputElement>('[type=text]');
  line.value = '-2 br';
  has(line);
  render(<Form sent={sent} />, { container: document.body, hydrate: true });
  line.value = '-2 brick';
  act(() => void has(line));
  await settle();
  act(() => at<HTMLButtonElement>('button').click());
  expect(sent.mock.calls).toEqual([['-2 brick false wall']]);
});

/** A line that Enter logs, and that is empty then. */
function Line() {
  const [line, setLine] = useState('');
  const enter = (key: string) => {
    if (key !== 'Enter' || line === '') return;
    sent(line);
    setLine('');
  };
  return (
    <>
      <input value={line} onChange={(e) => setLine(e.target.value)} onKeyDown={(e) => enter(e.key)} />
      <Awake />
    </>
  );
}

describe('a line that is entered while the page wakes up', () => {
  const enter = (isComposing = false) =>
    at('input').dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', isComposing, bubbles: true }));
  const type = (text: string) => {
    at<HTMLInputElement>('input').value = text;
    has(at('input'));
  };
  const hydrate = () => render(<Line />, { container: document.body, hydrate: true });
  beforeEach(() => {
    document.body.innerHTML = renderToString(<Line />);
  });

  it('before the program has come is logged by it, once', async () => {
    type('-2 brick');
    enter();
    hydrate();
    await settle();
    expect(sent.mock.calls).toEqual([['-2 brick']]);
    expect(at<HTMLInputElement>('input').value).toBe('');
  });

  it('stays where Enter took a word of an input method, and no line', async () => {
    type('-2 ブリック');
    enter(true);
    hydrate();
    await settle();
    expect(sent).not.toHaveBeenCalled();
    expect(at<HTMLInputElement>('input').value).toBe('-2 ブリック');
  });

  it.each([
    ['when the program hears it is not put back', ''],
    ['half before and half after is logged whole', '-2 br'],
  ])('%s', async (_, before) => {
    if (before) type(before);
    hydrate();
    act(() => type('-2 brick'));
    act(() => void enter());
    await settle();
    expect(sent.mock.calls).toEqual([['-2 brick']]);
    expect(at<HTMLInputElement>('input').value).toBe('');
  });

  it('when the program is there and has not its letters yet is logged when it has', async () => {
    type('-2 brick');
    hydrate();
    act(() => void enter());
    await settle();
    expect(sent.mock.calls).toEqual([['-2 brick']]);
  });

  it('and typed on is not logged with what came after', async () => {
    type('-2 brick');
    enter();
    type('-2 brick ash');
    hydrate();
    await settle();
    expect(sent).not.toHaveBeenCalled();
    expect(at<HTMLInputElement>('input').value).toBe('-2 brick ash');
  });
});

it('once the page is awake nothing is kept, and nothing done twice', async () => {
  await wake();
  act(() => at<HTMLButtonElement>('[type=button]').click());
  expect(sent.mock.calls).toEqual([['other']]);
  expect(window.evarnEarly).toBe(undefined);
});
