import { Button } from '@/ui/button';

/** A photo is dropped, chosen, or taken from the demo. */
export const PhotoChoice = ({ onChoose }: { onChoose: (photo: Blob | undefined) => void }) => (
  <div className="mb-2 flex flex-wrap items-end gap-3">
    <label
      className="border-edge flex min-h-9 flex-1 items-center gap-2 rounded-md border border-dashed px-3"
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        onChoose(e.dataTransfer.files[0]);
      }}
    >
      Drop a photo here, or choose one:
      <input
        type="file"
        aria-label="Photo"
        accept="image/*"
        onChange={(e) => onChoose(e.target.files?.[0])}
      />
    </label>
    <Button onClick={() => void fetch('/demo/hull.jpg').then(async (r) => onChoose(await r.blob()))}>
      Try the demo’s photo
    </Button>
  </div>
);
