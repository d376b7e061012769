/** Letters as they are searched: without case, accents, signs and hyphens. */
const plain = (text: string) =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[^\p{L}\p{N}#]+/gu, ' ')
    .toLocaleLowerCase()
    .trim();

/** More words than these nobody looks for. */
const MOST_WORDS = 12;
const wordsOf = (words: string) => plain(words.slice(0, 200)).split(' ').filter(Boolean).slice(0, MOST_WORDS);

/** A word as it stands for its other endings: plural and cases in the three languages. */
const ENDING = /(?:es|en|er|s|e|n|i|a|o)$/;
const LEAST_STEM = 4;
function stemOf(word: string): string {
  const stem = word.replace(ENDING, '');
  return stem.length >= LEAST_STEM ? stem : word;
}

/** A word stands at the beginning of a word, or, where it is long enough to be no chance, within one. */
const LEAST_WITHIN = 3;
const standsIn = (said: string, word: string) =>
  ` ${said}`.includes(` ${word}`) || (word.length >= LEAST_WITHIN && said.includes(word));

/** Whether all of some words stand in a text, in any order; no words stand in every text. */
export function holdsWords(text: string, words: string): boolean {
  const said = plain(text);
  return wordsOf(words).every((word) => standsIn(said, word));
}

/**
 * How well texts answer some words, 0 best: each word by the first of the texts it stands in, other endings a little after, whole beginnings
 * of words before what lies within one. Null where a word stands in none of them.
 */
export function rankOfWords(texts: readonly string[], words: string): number | null {
  const asked = wordsOf(words);
  // Signs alone are nothing anyone can find.
  if (asked.length === 0) return words.trim() === '' ? 0 : null;
  const said = texts.map((text) => ` ${plain(text)}`);
  let sum = 0;
  for (const word of asked) {
    const stem = stemOf(word);
    const places = said.flatMap((text, i) => {
      if (text.includes(` ${word}`)) return [i];
      if (text.includes(` ${stem}`)) return [i + 0.3];
      return stem.length >= LEAST_STEM && text.includes(stem) ? [i + 0.6] : [];
    });
    if (places.length === 0) return null;
    sum += Math.min(...places);
  }
  return sum;
}
