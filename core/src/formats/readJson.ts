import { CoreError, type Reason } from '../signal/index.ts';

export interface JsonLimits {
  /** Letters of the text. */
  length: number;
  /** Lists and objects inside each other. */
  depth: number;
}

const USUAL: JsonLimits = { length: 50_000_000, depth: 40 };
/** Names that change what an object is, instead of what it holds. */
const FORBIDDEN = new Set(['__proto__', 'constructor', 'prototype']);

const refuse = (sentence: string, name: Reason['name'], values: Reason['values'] = {}) =>
  new CoreError('json-unreadable', sentence, { name, values });

/** How deep a text nests, whatever stands in its strings; looked at before it is parsed. */
function depthOf(text: string, most: number): number {
  let depth = 0;
  let deepest = 0;
  let inString = false;
  for (let i = 0; i < text.length && deepest <= most; i++) {
    const letter = text[i];
    if (inString) {
      if (letter === '\\') i++;
      else if (letter === '"') inString = false;
    } else if (letter === '"') inString = true;
    else if (letter === '{' || letter === '[') deepest = Math.max(deepest, ++depth);
    else if (letter === '}' || letter === ']') depth--;
  }
  return deepest;
}

/**
 * Parses JSON from outside. Throws `json-unreadable` where it is longer or deeper than the limits, is no JSON, or names a
 * field that would change what its object is.
 */
export function readJson(text: string, limits: Partial<JsonLimits> = {}): unknown {
  const { length, depth } = { ...USUAL, ...limits };
  if (text.length > length)
    throw refuse(`The JSON is ${text.length} letters long; at most ${length} are read.`, 'tooLarge');
  if (depthOf(text, depth) > depth)
    throw refuse(`The JSON is nested deeper than ${depth} levels.`, 'tooDeep', { most: depth });
  try {
    return JSON.parse(text, (key, value: unknown) => {
      if (FORBIDDEN.has(key))
        throw refuse(`The JSON has a field named ${key}, which is not read.`, 'forbiddenField', {
          field: key,
        });
      return value;
    });
  } catch (error) {
    throw error instanceof CoreError
      ? error
      : refuse(`This is no JSON: ${(error as Error).message}.`, 'notJson');
  }
}
