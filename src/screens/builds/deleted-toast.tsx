'use client';

import { useRouter, useSearchParams } from 'next/navigation';
import { useCallback, useState } from 'react';
import { STOCK_SCOPE } from '@/core/ledger';
import { DoneToast } from '@/ui/done-toast';
import { windowOutbox } from '../sending/window-outbox';
import { outcomeWords } from '../words/refusal';

/** After a build was deleted the list of builds says so, and has it back by one press. */
export function DeletedToast() {
  const router = useRouter();
  const deleted = useSearchParams().get('deleted') ?? '';
  const [says, setSays] = useState('');
  const gone = useCallback(() => {
    router.replace('/builds', { scroll: false });
    setSays('');
  }, [router]);
  const undo = async () => {
    const request = crypto.randomUUID();
    const wish = { kind: 'undo', request, scope: STOCK_SCOPE, direction: 'undo', action: deleted } as const;
    const outcome = await windowOutbox().add(wish);
    router.replace('/builds', { scroll: false });
    setSays(outcome.how === 'done' ? `Undone: ${outcome.value.label}.` : outcomeWords(outcome));
  };
  const text = deleted ? 'The build was deleted.' : says;
  return (
    <span role="status">
      {text && <DoneToast text={text} onUndo={deleted ? () => void undo() : undefined} onGone={gone} />}
    </span>
  );
}
