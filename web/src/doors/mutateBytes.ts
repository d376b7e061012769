import type { Random } from '@inner-hum/core/signal';
import { bytesOf, pick, type Bytes } from './door.ts';

/** What is put where a number stood. */
const NUMBERS = [
  '0',
  '-1',
  '1e999',
  '-1e308',
  '65536',
  '4294967296',
  '9007199254740993',
  '0.0000001',
  'NaN',
  '٣',
];
const WORDS = [
  '\0',
  '"',
  '<',
  '&',
  '%',
  '../',
  '__proto__',
  '\u202e',
  '\r\n',
  ']]>',
  'x'.repeat(5000),
  '[[[[[[[[',
];
const EXTREME_BYTES = [0, 1, 0x7f, 0x80, 0xff];
const LONGEST = 200_000;
/** Twice and often: what is repeated makes lists that nobody writes. */
const REPEATS = [1, 2, 50, 2000];
const MOST_CHANGES = 4;

const spliced = (bytes: Bytes, from: number, to: number, middle: Uint8Array): Bytes => {
  const made = new Uint8Array(from + middle.length + bytes.length - to);
  made.set(bytes.subarray(0, from));
  made.set(middle, from);
  made.set(bytes.subarray(to), from + middle.length);
  return made;
};

const DIGITS = /\d+(?:\.\d+)?/g;

/** One of the numbers that stand written in it. */
function withOddNumber(bytes: Bytes, random: Random): Bytes {
  const start = Math.floor(random.uniform() * bytes.length);
  const text = new TextDecoder('latin1').decode(bytes.subarray(start, start + 4000));
  const found = [...text.matchAll(DIGITS)];
  if (found.length === 0) return bytes;
  const { index, 0: digits } = pick(found, random);
  return spliced(bytes, start + index, start + index + digits.length, bytesOf(pick(NUMBERS, random)));
}

function changed(bytes: Bytes, others: readonly Bytes[], random: Random): Bytes {
  const at = Math.floor(random.uniform() * (bytes.length + 1));
  const length = Math.min(bytes.length - at, 1 + Math.floor(64 * random.uniform() ** 3));
  const kinds: readonly (() => Bytes)[] = [
    () => {
      const made = bytes.slice();
      if (at < made.length) made[at] ^= 1 << Math.floor(8 * random.uniform());
      return made;
    },
    () => {
      const made = bytes.slice();
      if (at < made.length) made[at] = pick(EXTREME_BYTES, random);
      return made;
    },
    // Lengths and counts stand in the head.
    () => {
      const made = bytes.slice();
      const from = Math.floor(random.uniform() * Math.min(64, made.length));
      made.fill(pick(EXTREME_BYTES, random), from, from + 4);
      return made;
    },
    () => bytes.slice(0, at),
    () => spliced(bytes, at, at + length, new Uint8Array(0)),
    () => {
      const block = bytes.slice(at, at + length);
      const many = new Uint8Array(block.length * pick(REPEATS, random));
      for (let i = 0; i < many.length; i += block.length) many.set(block, i);
      return spliced(bytes, at, at, many);
    },
    () => {
      const other = pick(others, random);
      const from = Math.floor(random.uniform() * other.length);
      return spliced(bytes, at, at + length, other.subarray(from, from + 256));
    },
    () => spliced(bytes, at, at + length, bytesOf(pick(WORDS, random))),
    () => withOddNumber(bytes, random),
    () => withOddNumber(bytes, random),
  ];
  return pick(kinds, random)();
}

/** One of some files, changed in one to four places: bits, lengths, numbers, words, what is missing or stands there too often. */
export function mutatedBytes(files: readonly Bytes[], random: Random): Bytes {
  let bytes = pick(files, random);
  const changes = 1 + Math.floor(MOST_CHANGES * random.uniform());
  for (let i = 0; i < changes; i++) bytes = changed(bytes, files, random).slice(0, LONGEST);
  return bytes;
}
