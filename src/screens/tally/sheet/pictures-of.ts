import { SHEET } from '@/core/mod-sheet';

/** Kept photos as data: addresses, by their names; one that can't be read is left out. */
export async function picturesOf(photos: readonly string[]): Promise<ReadonlyMap<string, string>> {
  const found = await Promise.all(
    photos.map(async (id) => {
      try {
        const response = await fetch(`/api/photos/${id}?side=${SHEET.photoSide}`);
        return response.ok ? ([id, await dataAddress(await response.blob())] as const) : null;
      } catch {
        return null;
      }
    }),
  );
  return new Map(found.flatMap((f) => (f ? [f] : [])));
}

const dataAddress = (blob: Blob): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.onerror = () => reject(reader.error ?? new Error('not read'));
    reader.readAsDataURL(blob);
  });
