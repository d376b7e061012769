import { strFromU8, unzipSync, type Unzipped } from 'fflate';
import { CoreError, type Reason } from '../signal/index.ts';
import { readMidi } from './readMidi.ts';
import { readMusicXml } from './readMusicXml.ts';
import type { ReadScore } from './scorePart.ts';
import { child, childrenOf, readXml } from './xml.ts';

const MOST_BYTES = 20_000_000;
/** Of one part of a packed score, and how well text packs at most. */
const MOST_UNPACKED = 40_000_000;
const MOST_RATIO = 200;
const MOST_FILES = 200;
const CONTAINER = 'META-INF/container.xml';

const refuse = (sentence: string, name: Reason['name'], values: Reason['values'] = {}) =>
  new CoreError('score-unreadable', sentence, { name, values });
const startsWith = (bytes: Uint8Array, text: string) =>
  [...text].every((letter, i) => bytes[i] === letter.charCodeAt(0));

/** Reads a score by what the file is, not by its name: MusicXML, packed MusicXML or MIDI. Throws `score-unreadable` with a sentence. */
export function readScore(bytes: Uint8Array): ReadScore {
  if (bytes.length === 0) throw refuse('The file is empty.', 'empty');
  if (bytes.length > MOST_BYTES)
    throw refuse('The file is over 20 MB: no score of one exercise is.', 'tooLarge');
  if (startsWith(bytes, 'MThd')) return readMidi(bytes);
  return readMusicXml(startsWith(bytes, 'PK') ? unpack(bytes) : decode(bytes));
}

/** The text of the score in a packed file, found by its container. */
function unpack(bytes: Uint8Array): string {
  let count = 0;
  let files: Unzipped;
  try {
    files = unzipSync(bytes, {
      filter({ name, size, originalSize }) {
        if (++count > MOST_FILES)
          throw refuse(`The packed score holds more than ${MOST_FILES} files.`, 'packedTooMuch');
        if (!/\.(xml|musicxml)$/i.test(name)) return false;
        if (originalSize > MOST_UNPACKED || (originalSize > 1_000_000 && originalSize > MOST_RATIO * size))
          throw refuse('The packed score would unpack to more than any score holds.', 'packedTooMuch');
        return true;
      },
    });
  } catch (error) {
    throw error instanceof CoreError
      ? error
      : refuse('The packed score is damaged. Save it again from its program.', 'damaged');
  }
  const container = files[CONTAINER] as Uint8Array | undefined;
  const roots = container && child(readXml(decode(container)), 'rootfiles');
  const path = roots && childrenOf(roots, 'rootfile').at(0)?.attributes['full-path'];
  const name = path ?? Object.keys(files).find((each) => each !== CONTAINER);
  const score = name === undefined ? undefined : (files[name] as Uint8Array | undefined);
  if (!score) throw refuse('The packed file holds no score.', 'notScore');
  return decode(score);
}

/** The longest that a declaration is looked for in. */
const DECLARATION_BYTES = 200;
const MOST_LABEL = 40;

/** Text as its first bytes say (UTF-16 has a mark), else as its declaration says, else UTF-8. */
function decode(bytes: Uint8Array): string {
  const isLittle = bytes[0] === 0xff && bytes[1] === 0xfe;
  const isBig = bytes[0] === 0xfe && bytes[1] === 0xff;
  if (isLittle || isBig) return decodedAs(isLittle ? 'utf-16le' : 'utf-16be', bytes);
  const head = strFromU8(bytes.subarray(0, DECLARATION_BYTES), true);
  const declared = /^(?:\xef\xbb\xbf)?<\?xml\s[^>]*?encoding\s*=\s*["']([^"']+)["']/i.exec(head)?.[1];
  // What is declared in letters of one byte each cannot be of two.
  return decodedAs(declared === undefined || /^utf-?16/i.test(declared) ? 'utf-8' : declared, bytes);
}

function decodedAs(label: string, bytes: Uint8Array): string {
  try {
    return new TextDecoder(label).decode(bytes);
  } catch {
    throw refuse(
      `The file is written in ${label.slice(0, MOST_LABEL)}, which is not known.`,
      'lettersUnknown',
      {
        encoding: label.slice(0, MOST_LABEL),
      },
    );
  }
}
