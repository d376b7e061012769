import { configure, type ZipWriter } from '@zip.js/zip.js';

// Archives are written and read in a worker of ours: more workers, made from text, would be refused by the page's policy.
configure({ useWebWorkers: false });

export { BlobReader, BlobWriter, TextReader, Uint8ArrayReader, ZipReader, ZipWriter } from '@zip.js/zip.js';
export type { Entry, FileEntry } from '@zip.js/zip.js';

/** What parts are added to. */
export type Zip = Pick<ZipWriter<unknown>, 'add'>;
