// @vitest-environment happy-dom
import { screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { onBuild } from '../testing/on-build';
import { LogLine } from './log-line';

function open() {
  const acts = { onEnter: vi.fn(), onSources: vi.fn(), onCancel: vi.fn() };
  const built = onBuild(<LogLine reading={null} {...acts} />);
  return { ...built, ...acts, line: screen.getByRole('combobox') as HTMLInputElement };
}
const options = () => screen.queryAllByRole('option').map((o) => o.textContent);

describe('the log line', () => {
  it('offers what the words begin, goes through it by arrows, and takes one by Tab', async () => {
    const { user, line } = open();
    await user.type(line, '-2 pla');
    expect(options()).toHaveLength(1);
    expect(line.getAttribute('aria-expanded')).toBe('true');
    await user.keyboard('{Tab}');
    expect(line.value).toBe('-2 plate 2x3 chalk ');
    await user.type(line, 'from ');
    await user.type(line, 'o');
    expect(options()[0]).toContain('own parts');
    await user.keyboard('{ArrowDown}{Tab}');
    expect(line.value).toBe('-2 plate 2x3 chalk from order ');
    await user.clear(line);
    await user.type(line, '-2 brick 1x2 ash from o');
    await user.keyboard('{ArrowUp}{Tab}');
    expect(line.value).toBe('-2 brick 1x2 ash from outside ');
  });

  it('Escape closes the list first, and leaves the line after; Enter logs', async () => {
    const { user, line, onEnter, onCancel } = open();
    await user.type(line, '-2 pl');
    await user.keyboard('{Escape}');
    expect(options()).toEqual([]);
    expect(onCancel).not.toHaveBeenCalled();
    await user.keyboard('{Escape}');
    expect(onCancel).toHaveBeenCalledOnce();
    await user.keyboard('{Enter}');
    expect(onEnter).toHaveBeenCalledOnce();
  });

  it('goes on where the caret is, and keeps what stands behind it', async () => {
    const { user, line } = open();
    await user.type(line, '-2 plate 2x3 chalk, -1 brick 1x2 ash');
    line.setSelectionRange(18, 18);
    await user.type(line, ' from o', { initialSelectionStart: 18, initialSelectionEnd: 18 });
    expect(options()[0]).toContain('own parts');
    await user.keyboard('{Tab}');
    expect(line.value).toBe('-2 plate 2x3 chalk from own parts , -1 brick 1x2 ash');
    expect(line.selectionStart).toBe('-2 plate 2x3 chalk from own parts '.length);
  });

  it('takes a pasted block as one line, line by line; a single line as it is', async () => {
    const { user, line } = open();
    await user.click(line);
    await user.paste('-2 plate 2x3 chalk\n\n12x brick 1x4 ash;\r\n~1 brick 1x2 ash > slate\n');
    expect(line.value).toBe('-2 plate 2x3 chalk; +12x brick 1x4 ash; ~1 brick 1x2 ash > slate');
    await user.clear(line);
    await user.paste('-2 plate 2x3 chalk');
    expect(line.value).toBe('-2 plate 2x3 chalk');
  });

  it('offers nothing more once the word is whole', async () => {
    const { user, line } = open();
    await user.type(line, '-2 brick 1x2 ash');
    expect(options()).toEqual([]);
    expect(line.getAttribute('aria-expanded')).toBe('false');
  });

  it('says whether it logs as planned or as done, and the switch changes that', async () => {
    const { user, store } = open();
    const planned = screen.getByRole('switch');
    expect(planned.textContent).toBe('as done');
    await user.click(planned);
    expect([planned.textContent, store.getState().logPlanned]).toEqual(['as planned', true]);
  });
});
