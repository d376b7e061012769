import { downloadFile } from './downloadFile.ts';

const asFile = (name: string, content: Uint8Array<ArrayBuffer> | Blob, type: string) =>
  new File([content], name, { type });

/** Whether the system can share such a file with a person or a program. */
export function canShare(name: string, type: string): boolean {
  return (
    typeof navigator.canShare === 'function' &&
    navigator.canShare({ files: [asFile(name, new Blob(), type)] })
  );
}

/** Hands a file to the system to be shared; where it does not want it after all, to the downloads. Nothing happens where the player thinks again. */
export async function shareFile(
  name: string,
  content: Uint8Array<ArrayBuffer> | Blob,
  type: string,
): Promise<void> {
  try {
    await navigator.share({ files: [asFile(name, content, type)], title: name });
  } catch (reason) {
    if (reason instanceof DOMException && reason.name === 'AbortError') return;
    downloadFile(name, content, type);
  }
}
