/** Hands a file to the browser's downloads. */
export function downloadFile(name: string, content: Uint8Array<ArrayBuffer> | Blob, type: string): void {
  const url = URL.createObjectURL(content instanceof Blob ? content : new Blob([content], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // A large file takes its time to be copied.
  setTimeout(() => URL.revokeObjectURL(url), 600_000);
}
