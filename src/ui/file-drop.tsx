'use client';

import clsx from 'clsx';
import { useState, type ReactNode } from 'react';
import { useDropzone } from 'react-dropzone';
import { Button } from './button';

interface FileDropProps {
  readonly children: ReactNode;
  readonly words: string;
  /** What the file is, for a screen reader. */
  readonly label: string;
  /** What is offered when a file is chosen; what is dropped is looked at by whoever reads it, and told if it will not do. */
  readonly accept: string;
  readonly className?: string;
  readonly onFile: (file: File) => void;
}

/** A place where one file is dropped, with a button that asks for it. */
export function FileDrop({ children, words, label, accept, className, onFile }: FileDropProps) {
  const [says, setSays] = useState('');
  const drop = useDropzone({
    multiple: false,
    noClick: true,
    noKeyboard: true,
    onDropAccepted: ([file]) => {
      setSays('');
      if (file) onFile(file);
    },
    onDropRejected: (refused) =>
      setSays(`${refused.length} files were dropped, and none was read: drop one at a time.`),
  });
  return (
    <div
      {...drop.getRootProps({
        role: undefined,
        className: clsx(
          'border-edge rounded-lg border border-dashed',
          drop.isDragActive && 'bg-wash',
          className,
        ),
      })}
    >
      {children}
      <Button onClick={drop.open}>{words}</Button>
      <input {...drop.getInputProps({ 'aria-label': label, accept })} />
      <p role="status">{says}</p>
    </div>
  );
}
