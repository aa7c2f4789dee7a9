'use client';

import { Button } from '@/ui/button';

/** What is shown when a screen breaks: nothing that was acknowledged is lost by it. */
export default function ErrorScreen({ reset }: { error: Error; reset: () => void }) {
  return (
    <main className="mx-auto max-w-xl px-4 py-16">
      <h1 className="text-[24px]">This screen broke.</h1>
      <p className="text-soft mt-2 mb-4">
        What you logged is kept. Open the screen again; if it breaks once more, go back to the list of builds.
      </p>
      <Button look="main" onClick={reset}>
        Open it again
      </Button>
    </main>
  );
}
