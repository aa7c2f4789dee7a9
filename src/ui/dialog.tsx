'use client';

import { X } from 'lucide-react';
import { Dialog as Radix } from 'radix-ui';
import { useMemo, type ReactNode } from 'react';
import clsx from 'clsx';
import { focusBefore, giveFocusBack } from './keep-focus';
import { placeBeside, type DialogPlace } from './dialog-place';

interface DialogProps {
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly title: string;
  readonly says?: ReactNode;
  readonly wide?: boolean;
  /** True = it explains something on the page, and stands away from what it was opened from, which stays to be read. */
  readonly beside?: boolean;
  /** Where the focus goes when it closes, if not back to where it was. */
  readonly then?: (() => HTMLElement | null) | undefined;
  readonly children: ReactNode;
}

const PLACES: Readonly<Record<DialogPlace, string>> = {
  middle: 'top-[8vh] left-1/2 max-h-[84vh] w-[calc(100vw-2rem)] -translate-x-1/2',
  left: 'top-2 left-2 max-h-[calc(100dvh-1rem)] w-[calc(50vw-1rem)] max-w-3xl',
  right: 'top-2 right-2 max-h-[calc(100dvh-1rem)] w-[calc(50vw-1rem)] max-w-3xl',
  top: 'inset-x-2 top-2 max-h-[55dvh]',
  bottom: 'inset-x-2 bottom-2 max-h-[55dvh]',
};

/** A sheet over the page. Escape and the corner close it; the keyboard stays inside while it is open. */
export function Dialog({ open, onOpenChange, title, says, wide, beside, then, children }: DialogProps) {
  const place = useMemo(() => (open && beside ? placeBeside(focusBefore()) : 'middle'), [open, beside]);
  return (
    <Radix.Root open={open} onOpenChange={onOpenChange}>
      <Radix.Portal>
        <Radix.Overlay className={clsx('fixed inset-0 z-40', place === 'middle' && 'bg-black/30')} />
        <Radix.Content
          onCloseAutoFocus={(e) => giveFocusBack(e, then)}
          {...(says ? {} : { 'aria-describedby': undefined })}
          className={clsx(
            'bg-sheet border-edge fixed z-50 flex flex-col rounded-lg border shadow-xl',
            PLACES[place],
            place === 'middle' && (wide ? 'max-w-4xl' : 'max-w-xl'),
          )}
        >
          <div className="border-rule flex items-start gap-4 border-b px-4 py-3">
            <div className="min-w-0 flex-1">
              <Radix.Title className="truncate text-[16px]">{title}</Radix.Title>
              {says && <Radix.Description className="text-soft mt-0.5">{says}</Radix.Description>}
            </div>
            <Radix.Close
              className="hover:bg-wash grid size-7 place-items-center rounded-md"
              aria-label="Close"
            >
              <X size={16} aria-hidden />
            </Radix.Close>
          </div>
          <div tabIndex={0} className="min-h-0 flex-1 overflow-auto px-4 py-3 outline-none">
            {children}
          </div>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
