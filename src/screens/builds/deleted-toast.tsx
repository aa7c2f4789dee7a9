'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useState } from 'react';
import { STOCK_SCOPE } from '@/core/ledger';
import { DoneToast } from '@/ui/done-toast';
import { useInAddress } from '../common/use-in-address';
import { windowOutbox } from '../sending/window-outbox';
import { outcomeWords } from '../words/refusal';

/** After a build was deleted the list of builds says so, and has it back by one press. */
export function DeletedToast() {
  const router = useRouter();
  const [deleted, setDeleted] = useInAddress('deleted');
  const [says, setSays] = useState('');
  const gone = useCallback(() => {
    setDeleted('');
    setSays('');
  }, [setDeleted]);
  const undo = async () => {
    const request = crypto.randomUUID();
    const wish = { kind: 'undo', request, scope: STOCK_SCOPE, direction: 'undo', action: deleted } as const;
    const outcome = await windowOutbox().add(wish);
    setDeleted('');
    setSays(outcome.how === 'done' ? `Undone: ${outcome.value.label}.` : outcomeWords(outcome));
    router.refresh();
  };
  const text = deleted ? 'The build was deleted.' : says;
  return (
    <span role="status">
      {text && <DoneToast text={text} onUndo={deleted ? () => void undo() : undefined} onGone={gone} />}
    </span>
  );
}
