import { readFileSync } from 'node:fs';
import { writePage } from './report.ts';

// Every sentence of the app in its three languages, place by place, as one page to be read aloud. It is not kept.

const LANGUAGES = ['en', 'de', 'it'] as const;
const FILES = ['startup', 'app', 'help'] as const;
type Sentences = { [name: string]: string | Sentences };

const root = new URL('../../', import.meta.url);

/** `{a: {b: 'x'}}` as `a.b`, `x`. */
function* sentencesOf(within: Sentences, path = ''): Generator<[string, string]> {
  for (const [name, value] of Object.entries(within)) {
    if (typeof value === 'string') yield [path + name, value];
    else yield* sentencesOf(value, `${path}${name}.`);
  }
}

const read = (language: string, file: string) =>
  new Map(
    sentencesOf(
      JSON.parse(
        readFileSync(new URL(`web/src/words/messages/${language}/${file}.json`, root), 'utf8'),
      ) as Sentences,
    ),
  );
const cell = (text: string | undefined) => (text ?? '').replaceAll('|', '\\|').replaceAll('\n', ' / ');

const lines = ['# Every sentence', ''];
let count = 0;
for (const file of FILES) {
  const [en, de, it] = LANGUAGES.map((language) => read(language, file));
  let place = '';
  for (const [path, sentence] of en) {
    const within = path.split('.')[0];
    if (within !== place) lines.push('', `## ${within}`, '', '| place | en | de | it |', '|---|---|---|---|');
    place = within;
    lines.push(`| ${path} | ${[sentence, de.get(path), it.get(path)].map(cell).join(' | ')} |`);
    count++;
  }
}
writePage('words.md', `${lines.join('\n')}\n`);
console.log(`${count} sentences in ${LANGUAGES.length} languages: docs/words.md`);
