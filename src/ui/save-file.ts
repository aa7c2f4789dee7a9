/** Saves what a path of this server answers with as a file, without leaving the page. */
export function saveFile(path: string): void {
  const link = document.createElement('a');
  link.href = path;
  link.download = '';
  link.click();
}
