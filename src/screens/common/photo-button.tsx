'use client';

import { useState } from 'react';
import { FileButton } from '@/ui/file-button';
import { photoFaultWords } from '../words/inspection';
import { useBuild } from './build-store';
import { sendPhoto } from './send-photo';

interface PhotoButtonProps {
  readonly words: string;
  /** What the photo is of, for a screen reader. */
  readonly label: string;
  readonly onKept: (id: string) => void;
}

/** Asks for a photo and keeps it with the build; what goes wrong is said beside the button. */
export function PhotoButton({ words, label, onKept }: PhotoButtonProps) {
  const build = useBuild((s) => s.workbench.build);
  const [says, setSays] = useState('');
  const keep = async (file: File) => {
    setSays('Keeping the photo…');
    const done = await sendPhoto(build, file);
    if (done.ok) onKept(done.value.id);
    setSays(done.ok ? '' : `▲ ${photoFaultWords(done.reason)}`);
  };
  return (
    <span className="flex flex-wrap items-center gap-2">
      <FileButton
        words={words}
        label={label}
        accept="image/jpeg,image/png,image/webp"
        onFile={(f) => void keep(f)}
      />
      <span role="status" className="text-[12px] empty:hidden">
        {says}
      </span>
    </span>
  );
}

/** A kept photo. */
export const KeptPhoto = ({
  id,
  words,
  className,
}: {
  id: string | null;
  words: string;
  className: string;
}) =>
  id ? (
    // Kept photos are served by this machine, at the size they are kept in.
    // eslint-disable-next-line @next/next/no-img-element
    <img src={`/api/photos/${id}`} alt={words} className={className} />
  ) : null;
