/** Saves what a path of this server answers with as a file, without leaving the page. */
export function saveFile(path: string): void {
  const link = document.createElement('a');
  link.href = path;
  link.download = '';
  link.click();
}

/** Saves bytes that were answered as a file. */
export function saveBlob(blob: Blob, name: string): void {
  const address = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  URL.revokeObjectURL(address);
}
