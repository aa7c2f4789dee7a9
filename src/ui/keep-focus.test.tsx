// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { focusBefore, goToRegion, keepFocus } from './keep-focus';

let end = () => {};
beforeEach(() => (end = keepFocus()));
afterEach(() => {
  end();
  document.body.innerHTML = '';
});
const show = (html: string) => (document.body.innerHTML = html);
const byId = (id: string) => document.getElementById(id)!;
const settled = () => new Promise((done) => setTimeout(done, 120));

describe('the focus, when what had it is gone,', () => {
  it('goes to what has taken its place in the list', async () => {
    show(
      '<main><h1>All</h1><ul><li><button id="a">A</button></li><li id="b-row"><button id="b">B</button></li><li><button id="c">C</button></li></ul></main>',
    );
    byId('b').focus();
    byId('b-row').remove();
    await settled();
    expect(document.activeElement).toBe(byId('c'));
    byId('c').parentElement!.remove();
    await settled();
    expect(document.activeElement).toBe(byId('a'));
  });

  it('goes to the heading of the step that has come', async () => {
    show('<main><section id="step"><button id="next">Next</button></section></main>');
    byId('next').focus();
    byId('step').outerHTML = '<section><h2 id="second">Which columns?</h2><button>Agree</button></section>';
    await settled();
    expect(document.activeElement).toBe(byId('second'));
  });

  it('stays where something else has taken it', async () => {
    show('<main><button id="a">A</button><input id="b"></main>');
    byId('a').focus();
    byId('b').focus();
    byId('a').remove();
    await settled();
    expect(document.activeElement).toBe(byId('b'));
  });

  it('is known from below a dialog, also when its menu is gone', () => {
    show(
      '<main><ul><li tabindex="0" id="row">Row</li></ul></main><div role="menu"><button id="item">Edit</button></div>',
    );
    byId('row').focus();
    byId('item').focus();
    document.querySelector('[role=menu]')!.remove();
    expect(focusBefore()).toBe(byId('row'));
  });
});

it('is nowhere once it was let go of', async () => {
  show('<main><h1>All</h1><button id="a">A</button></main>');
  byId('a').focus();
  byId('a').blur();
  await settled();
  expect(focusBefore()).toBeNull();
});

it('goes from part to part, round and round', () => {
  show(
    '<header><a id="home" href="/">Home</a></header><main><section aria-label="One"><button id="one">1</button></section><section aria-label="Two"><input id="two"></section></main>',
  );
  byId('home').focus();
  const seen: string[] = [];
  for (let i = 0; i < 4; i++) {
    goToRegion(1);
    seen.push(document.activeElement!.id);
  }
  expect(seen).toEqual(['one', 'two', 'home', 'one']);
  goToRegion(-1);
  expect(document.activeElement!.id).toBe('home');
});
