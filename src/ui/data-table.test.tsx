// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { DataTable, type TableColumn } from './data-table';

interface Row {
  readonly name: string;
  readonly qty: number;
  readonly worth: number | null;
}
const ROWS: readonly Row[] = [
  { name: 'brick 1x2', qty: 5, worth: 40 },
  { name: 'brick 1x10', qty: 12, worth: null },
  { name: 'arch 1x4', qty: 7, worth: 90 },
];
const COLUMNS: readonly TableColumn<Row>[] = [
  { id: 'name', words: 'Part', by: (r) => r.name, cell: (r) => r.name },
  { id: 'qty', words: 'pieces', isNumber: true, by: (r) => r.qty, cell: (r) => r.qty },
  { id: 'worth', words: 'worth', isNumber: true, by: (r) => r.worth, cell: (r) => r.worth ?? 'not known' },
];

const show = (more: Partial<Parameters<typeof DataTable<Row>>[0]> = {}) =>
  render(
    <DataTable
      label="Parts"
      columns={COLUMNS}
      rows={ROWS}
      idOf={(r) => r.name}
      first={{ id: 'qty', down: true }}
      empty="nothing"
      {...more}
    />,
  );
const names = () =>
  screen
    .getAllByRole('row')
    .slice(1)
    .map((r) => within(r).getAllByRole('cell').at(-3)!.textContent);

afterEach(cleanup);

describe('a table', () => {
  it('is sorted as it is told to be, and says so', () => {
    show();
    expect(names()).toEqual(['brick 1x10', 'arch 1x4', 'brick 1x2']);
    expect(screen.getByRole('columnheader', { name: 'pieces' }).getAttribute('aria-sort')).toBe('descending');
    expect(screen.getByRole('columnheader', { name: 'Part' }).getAttribute('aria-sort')).toBe('none');
  });

  it('is sorted by a heading that is pressed, and the other way by the next press; numbers in names count as numbers', () => {
    show();
    fireEvent.click(screen.getByRole('button', { name: 'Part' }));
    expect(names()).toEqual(['arch 1x4', 'brick 1x2', 'brick 1x10']);
    fireEvent.click(screen.getByRole('button', { name: 'Part' }));
    expect(names()).toEqual(['brick 1x10', 'brick 1x2', 'arch 1x4']);
  });

  it('keeps what is not known at the end, whichever way', () => {
    show();
    fireEvent.click(screen.getByRole('button', { name: 'worth' }));
    expect(names()).toEqual(['arch 1x4', 'brick 1x2', 'brick 1x10']);
    fireEvent.click(screen.getByRole('button', { name: 'worth' }));
    expect(names()).toEqual(['brick 1x2', 'arch 1x4', 'brick 1x10']);
  });

  it('chooses a row, and all of them', () => {
    const onChoose = vi.fn();
    show({ chosen: new Set(), onChoose, nameOf: (r) => r.name });
    fireEvent.click(screen.getByRole('checkbox', { name: 'Choose arch 1x4' }));
    expect(onChoose).toHaveBeenLastCalledWith(new Set(['arch 1x4']));
    fireEvent.click(screen.getByRole('checkbox', { name: 'Choose all of Parts' }));
    expect(onChoose).toHaveBeenLastCalledWith(new Set(ROWS.map((r) => r.name)));
  });

  it('says what would stand there where nothing does, and shows the first of many', () => {
    show({ rows: [] });
    expect(screen.getByText('nothing')).toBeTruthy();
    cleanup();
    show({ rows: Array.from({ length: 250 }, (_, i) => ({ name: `part ${i}`, qty: i, worth: i })) });
    expect(names()).toHaveLength(100);
    fireEvent.click(screen.getByRole('button', { name: 'Show 150 more of 250' }));
    expect(names()).toHaveLength(250);
  });
});
