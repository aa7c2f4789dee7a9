'use client';

import { useEffect, useRef, useState } from 'react';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { post } from '../sending/answers';
import { refusalWords } from '../words/refusal';

const startingWords = (seconds: number): string =>
  seconds < 5
    ? 'Starting it: a few seconds…'
    : `Starting it: ${seconds} s so far. A busy machine takes a minute or two.`;

/** From the demo to a workspace of one's own: another folder, another address, and nothing of the demo in it. */
export function OwnWorkspaceDialog({ onClose }: { onClose: () => void }) {
  const [says, setSays] = useState('');
  const [began, setBegan] = useState<number | null>(null);
  const gone = useRef(false);
  useEffect(() => {
    gone.current = false;
    return () => void (gone.current = true);
  }, []);
  useEffect(() => {
    if (began === null) return;
    const tell = () => setSays(startingWords(Math.round((performance.now() - began) / 1000)));
    tell();
    const every = setInterval(tell, 5000);
    return () => clearInterval(every);
  }, [began]);
  const start = async () => {
    setBegan(performance.now());
    const said = await post<{ url: string }>('/api/own-workspace', {});
    // Who closed this meanwhile stays in the demo; the other workspace is found at once the next time.
    if (gone.current) return;
    if (said.reached && said.answer.ok) {
      window.location.assign(said.answer.value.url);
      return;
    }
    setBegan(null);
    setSays(
      said.reached && !said.answer.ok ? refusalWords(said.answer.reason) : 'The server cannot be reached.',
    );
  };
  return (
    <Dialog open onOpenChange={onClose} title="This is the demo">
      <p className="max-w-prose">
        Everything here is invented and came with Evarn. Try whatever you like: it can be undone, and{' '}
        <code className="font-mono">npm run demo:reset</code> begins it anew.
      </p>
      <p className="mt-2 max-w-prose">
        Your own sets go into a workspace of their own, in another folder of this machine. It begins empty. It
        runs for as long as the demo does; later start it by itself with{' '}
        <code className="font-mono">npm start</code>.
      </p>
      <p role="status" className="mt-2 font-medium">
        {says}
      </p>
      <div className="mt-3 flex justify-end gap-2">
        <Button onClick={onClose}>Stay in the demo</Button>
        <Button look="main" disabled={began !== null} onClick={() => void start()}>
          Start my own workspace
        </Button>
      </div>
    </Dialog>
  );
}
