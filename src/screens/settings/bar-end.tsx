'use client';

import { CircleHelp, Search } from 'lucide-react';
import { useState } from 'react';
import { Button } from '@/ui/button';
import { openCommandCentre } from '../commands';
import { OwnWorkspaceDialog } from './own-workspace-dialog';

/** At the end of every page's bar: that this is the demo, what can be done here, and the keys. */
export function BarEnd({ isDemo }: { isDemo: boolean }) {
  const [asked, setAsked] = useState(false);
  return (
    <div className="flex items-center gap-0.5">
      {isDemo && (
        <Button
          onClick={() => setAsked(true)}
          className="mr-1 border-dashed max-sm:mr-0 max-sm:px-1.5"
          aria-label="Demo: start my own workspace"
          title="Everything here came with Evarn"
        >
          Demo
        </Button>
      )}
      <BarButton label="All commands (Ctrl K)" onClick={() => openCommandCentre('commands')}>
        <Search size={16} aria-hidden />
      </BarButton>
      <BarButton label="Keys and the log line (F1)" onClick={() => openCommandCentre('keys')}>
        <CircleHelp size={16} aria-hidden />
      </BarButton>
      {asked && <OwnWorkspaceDialog onClose={() => setAsked(false)} />}
    </div>
  );
}

const BarButton = ({
  label,
  onClick,
  children,
}: {
  label: string;
  onClick: () => void;
  children: React.ReactNode;
}) => (
  <button
    type="button"
    aria-label={label}
    title={label}
    onClick={onClick}
    className="hover:bg-wash grid size-7 place-items-center rounded-md"
  >
    {children}
  </button>
);
