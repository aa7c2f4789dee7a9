'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button } from '@/ui/button';
import { post } from '../sending/answers';
import { refusalWords } from '../words/refusal';

/** Puts the demo's builds into a workspace in which there is nothing yet, for whoever wants to look before beginning. */
export function DemoCopy() {
  const router = useRouter();
  const [says, setSays] = useState('');
  const [busy, setBusy] = useState(false);
  const copy = async () => {
    setBusy(true);
    setSays('Making a copy of the demo: half a minute…');
    const said = await post('/api/demo-copy', {});
    if (said.reached && said.answer.ok) return router.push('/builds');
    setBusy(false);
    setSays(
      said.reached && !said.answer.ok ? refusalWords(said.answer.reason) : 'The server cannot be reached.',
    );
  };
  return (
    <div className="mt-3">
      <p className="max-w-prose">
        There is nothing here yet. A copy of the demo’s builds can be put in to look at; the empty workspace
        is kept among the copies, to go back to.
      </p>
      <Button className="mt-2" disabled={busy} onClick={() => void copy()}>
        Put in a copy of the demo
      </Button>
      <p role="status" className="mt-1 font-medium">
        {says}
      </p>
    </div>
  );
}
