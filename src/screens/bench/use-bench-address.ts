'use client';

import { useCallback, useEffect, useRef } from 'react';
import type { Figure, View } from '@/core/ledger';
import { MONEY_FIGURES } from '@/core/ledger';
import type { EntryId, ModificationId, WhatIfId, ZoneId } from '@/core/shared/ids';
import { useBuildStore, type BuildStore } from '../common/build-store';
import { useBackAndForward, writeAddress } from '../common/use-in-address';
import type { OpenDialog } from './dialogs';
import { scopeOf } from './scope';
import { FIGURE_TITLES } from '../words/figures';

/** What of the bench stands in its address. Empty = as the bench opens by itself. */
type Address = Readonly<Record<'modification' | 'entry' | 'zone' | 'view' | 'figure', string>>;

const isFigure = (name: string): name is Figure =>
  Object.hasOwn(FIGURE_TITLES, name) || (MONEY_FIGURES as readonly string[]).includes(name);

const viewText = (view: View, whatIf: WhatIfId | null): string =>
  view.kind === 'asOf'
    ? `entry-${view.no}`
    : view.kind === 'planned'
      ? whatIf
        ? `if-${whatIf}`
        : 'planned'
      : '';

/** The address of what shows now: modifications and entries by their numbers, since that is what people call them. */
function addressOf(store: BuildStore, dialog: OpenDialog | null, first: ModificationId | null): Address {
  const { workbench, selected, shownEntry, zone, view } = store.getState();
  const { records } = workbench;
  const asked = shownEntry ? records.entry.get(shownEntry) : undefined;
  const entry = asked?.modification === selected ? asked : undefined;
  const chosen = selected && selected !== first ? records.modification.get(selected) : undefined;
  return {
    modification: entry ? '' : chosen ? String(chosen.no) : '',
    entry: entry ? String(entry.no) : '',
    zone: zone ?? '',
    view: viewText(view, workbench.whatIf),
    figure: dialog?.dialog === 'figure' && dialog.scope.of !== 'modification' ? dialog.figure : '',
  };
}

/** Shows what an address names. What is not there any more is passed over. */
function showAddress(
  store: BuildStore,
  values: URLSearchParams,
  first: ModificationId | null,
  open: (dialog: OpenDialog | null) => void,
): void {
  const { workbench, set, selectWhatIf } = store.getState();
  const { records } = workbench;
  const number = (name: string) => Number(values.get(name) ?? NaN);
  const entry = [...records.entry.values()].find((e) => e.no === number('entry'));
  const named = [...records.modification.values()].find((m) => m.no === number('modification'));
  const zone = values.get('zone') as ZoneId | null;
  const view = values.get('view') ?? '';
  const whatIf = view.startsWith('if-') ? (view.slice(3) as WhatIfId) : null;
  if (whatIf ? records.whatIf.has(whatIf) : workbench.whatIf) selectWhatIf(whatIf);
  if (!whatIf) {
    const no = /^entry-(\d{1,9})$/.exec(view)?.[1];
    set({ view: no ? { kind: 'asOf', no: Number(no) } : { kind: view === 'planned' ? 'planned' : 'built' } });
  }
  set({
    selected: entry?.modification ?? named?.id ?? first,
    shownEntry: entry?.id ?? null,
    zone: zone && records.zone.has(zone) ? zone : null,
  });
  const figure = values.get('figure') ?? '';
  const scope = scopeOf(zone && records.zone.has(zone) ? zone : null);
  open(isFigure(figure) ? { dialog: 'figure', figure, scope } : null);
}

/**
 * Keeps the bench and its address alike: the opened modification, entry, figure, zone and view stand in it, a link opens
 * the bench with them, and Back and Forward go through them.
 */
export function useBenchAddress(dialog: OpenDialog | null, open: (dialog: OpenDialog | null) => void): void {
  const store = useBuildStore();
  const first = useRef(store.getState().selected);
  const shown = useRef(dialog);
  /** True while the address is being followed, and not written. */
  const following = useRef(false);
  const show = useCallback(
    (values: URLSearchParams) => {
      following.current = true;
      showAddress(store, values, first.current, open);
      following.current = false;
    },
    [store, open],
  );
  useBackAndForward(show);
  useEffect(() => {
    const values = new URLSearchParams(window.location.search);
    if (['modification', 'entry', 'zone', 'view', 'figure'].some((n) => values.has(n))) show(values);
    return store.subscribe((now, was) => {
      const moved = (['selected', 'shownEntry', 'zone', 'view'] as const).some((k) => now[k] !== was[k]);
      if (moved && !following.current) writeAddress(addressOf(store, shown.current, first.current), 'push');
    });
  }, [store, show]);
  useEffect(() => {
    const was = shown.current;
    shown.current = dialog;
    if (was !== dialog && (was?.dialog === 'figure' || dialog?.dialog === 'figure'))
      writeAddress(addressOf(store, dialog, first.current), 'push');
  }, [store, dialog]);
}

/** Opens an entry where it stands: its modification, its row in sight and in focus. */
export function showEntry(store: BuildStore, entry: EntryId): void {
  const { workbench, set } = store.getState();
  const found = workbench.records.entry.get(entry);
  if (found?.modification) set({ selected: found.modification, shownEntry: entry, zone: null });
}
