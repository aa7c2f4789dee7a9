import { Button } from '@/ui/button';
import { FileDrop } from '@/ui/file-drop';

/** A photo is dropped, chosen, or taken from the demo. */
export const PhotoChoice = ({ onChoose }: { onChoose: (photo: Blob | undefined) => void }) => (
  <div className="mb-2 flex flex-wrap items-center gap-3">
    <FileDrop
      words="Choose a photo"
      label="Photo"
      accept="image/*"
      className="flex min-h-11 flex-1 flex-wrap items-center gap-2 px-3"
      onFile={onChoose}
    >
      <span>Drop a photo here, or choose one:</span>
    </FileDrop>
    <Button onClick={() => void fetch('/demo/hull.jpg').then(async (r) => onChoose(await r.blob()))}>
      Try the demo’s photo
    </Button>
  </div>
);
