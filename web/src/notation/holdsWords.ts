/** Letters as they are searched: without case and accents. */
const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLocaleLowerCase();

/** Whether all of some words stand in a text, in any order; no words stand in every text. */
export function holdsWords(text: string, words: string): boolean {
  const said = plain(text);
  return plain(words)
    .split(/\s+/)
    .every((word) => said.includes(word));
}
