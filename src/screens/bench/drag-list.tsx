'use client';

import {
  closestCenter,
  DndContext,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import type { CSSProperties, ReactNode } from 'react';
import type { Entry, Modification } from '@/core/ledger';
import { moveEntries, moveModification } from '@/core/workbench';
import { entriesOf, useBuildStore, type BuildStore } from '../common/build-store';

const ENTRY = 'entry ';
const CARD = 'modification ';
export const entryHandle = (e: Entry) => `${ENTRY}${e.id}`;
export const cardHandle = (m: Modification) => `${CARD}${m.id}`;

/**
 * A worklog whose modifications and entries can be dragged to another place: an entry within its modification or onto
 * another one, with all that are marked. Alt and the arrows do the same for who has no pointer. Where the worklog is shown
 * in another order than its own a modification stays where it is: its place there says nothing of the one it would get.
 */
export function DragList({ inOrder, children }: { inOrder: boolean; children: ReactNode }) {
  const store = useBuildStore();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={(e) => drop(store, e, inOrder)}
      accessibility={{ restoreFocus: false }}
    >
      {children}
    </DndContext>
  );
}

export const Sortable = ({ ids, children }: { ids: readonly string[]; children: ReactNode }) => (
  <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
    {children}
  </SortableContext>
);

/** Where a row of a list that can be dragged stands while it or another is, and what it is taken by. */
export function useDragged(
  id: string,
): readonly [
  setNodeRef: (node: HTMLElement | null) => void,
  style: CSSProperties | undefined,
  grip: ReactNode,
] {
  const { setNodeRef, setActivatorNodeRef, listeners, transform, transition, isDragging } = useSortable({
    id,
  });
  const style = transform
    ? ({
        transform: CSS.Translate.toString(transform),
        transition,
        position: 'relative',
        zIndex: isDragging ? 20 : undefined,
        opacity: isDragging ? 0.8 : undefined,
      } as const)
    : undefined;
  const grip = (
    <span
      ref={setActivatorNodeRef}
      {...listeners}
      aria-hidden
      title="Drag to another place"
      className="text-edge hover:text-ink grid w-4 h-full cursor-grab touch-none place-items-center self-stretch"
    >
      <GripVertical size={13} />
    </span>
  );
  return [setNodeRef, style, grip];
}

function drop(store: BuildStore, { active, over }: DragEndEvent, inOrder: boolean): void {
  if (!over || active.id === over.id) return;
  const [from, to] = [String(active.id), String(over.id)];
  if (from.startsWith(CARD) && !inOrder)
    store.getState().set({
      notice: {
        kind: 'said',
        text: 'The worklog is shown in another order than its own. Choose “as they stand”, and drag again.',
      },
    });
  else if (from.startsWith(CARD)) dropCard(store, from.slice(CARD.length), to);
  else if (to.startsWith(ENTRY)) dropOnEntry(store, from.slice(ENTRY.length), to.slice(ENTRY.length));
  else dropOnCard(store, from.slice(ENTRY.length), to.slice(CARD.length));
}

/** The entry that is dragged, with all that are marked where it is one of them, in their order. */
function dragged(store: BuildStore, id: string): Entry[] {
  const { workbench, marked } = store.getState();
  const entry = workbench.records.entry.get(id as never);
  if (!entry?.modification) return [];
  return marked.has(entry.id) ? workbench.entries.filter((e) => marked.has(e.id)) : [entry];
}

function dropOnEntry(store: BuildStore, from: string, to: string): void {
  const { workbench, perform } = store.getState();
  const entries = dragged(store, from);
  const goal = workbench.records.entry.get(to as never);
  if (!goal?.modification || entries.some((e) => e.id === goal.id)) return;
  const list = entriesOf(workbench, goal.modification);
  const [a, b] = [list.findIndex((e) => e.id === from), list.findIndex((e) => e.id === to)];
  // Dragged down it comes behind the row it is let go on, dragged up before it.
  const rest = list.filter((e) => !entries.some((m) => m.id === e.id));
  const at = rest.findIndex((e) => e.id === to) + (a >= 0 && a < b ? 1 : 0);
  perform(moveEntries(workbench, entries, goal.modification, rest[at] ?? null));
}

function dropOnCard(store: BuildStore, from: string, to: string): void {
  const { workbench, perform, set } = store.getState();
  const goal = workbench.records.modification.get(to as never);
  const entries = dragged(store, from).filter((e) => e.modification !== goal?.id);
  if (!goal || entries.length === 0) return;
  perform(moveEntries(workbench, entries, goal.id, null));
  set({ marked: new Set() });
}

function dropCard(store: BuildStore, from: string, to: string): void {
  const { workbench, perform } = store.getState();
  if (!to.startsWith(CARD)) return;
  const list = workbench.modifications;
  const [a, b] = [from, to.slice(CARD.length)].map((id) => list.findIndex((m) => m.id === id)) as [
    number,
    number,
  ];
  const moved = list[a];
  if (!moved || b < 0) return;
  const rest = list.filter((m) => m.id !== moved.id);
  perform(moveModification(workbench, moved, rest[b] ?? null));
}
