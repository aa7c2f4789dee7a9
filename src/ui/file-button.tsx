'use client';

import { useRef } from 'react';
import { Button } from './button';

interface FileButtonProps {
  readonly words: string;
  /** What the file is, for a screen reader. */
  readonly label: string;
  readonly accept: string;
  readonly disabled?: boolean;
  readonly onFile: (file: File) => void;
}

/** A button that asks for a file. The same file can be chosen again: it may have been mended meanwhile. */
export function FileButton({ words, label, accept, disabled, onFile }: FileButtonProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button disabled={disabled} onClick={() => input.current?.click()}>
        {words}
      </Button>
      <input
        ref={input}
        type="file"
        hidden
        aria-label={label}
        accept={accept}
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = '';
          if (file) onFile(file);
        }}
      />
    </>
  );
}
