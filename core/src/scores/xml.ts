import { XMLBuilder, XMLParser, XMLValidator } from 'fast-xml-parser';
import { CoreError, type Reason } from '../signal/index.ts';

/** An element in the order in which it stands. */
export interface XmlElement {
  name: string;
  attributes: Readonly<Record<string, string>>;
  children: readonly XmlElement[];
  /** Its own text, trimmed; empty where it has none. */
  text: string;
}

const MOST_LETTERS = 40_000_000;
const MOST_DEPTH = 40;
/** Of one tag with its attributes, in letters; parsers compare each attribute with all others. */
const MOST_TAG = 20_000;
/** Of what is wrong, in letters: names of elements may be as long as the file. */
const MOST_DETAIL = 160;
const ATTRIBUTES = ':@';
const TEXT = '#text';

type Ordered = Record<string, unknown>;

const refuse = (sentence: string, name: Reason['name'], values: Reason['values'] = {}) =>
  new CoreError('score-unreadable', sentence, { name, values });

/** How deep elements stand in each other, told before anything is built of them. Throws where one is longer than any. */
function depthOf(text: string): number {
  let depth = 0;
  let deepest = 0;
  for (const [tag, closing, selfClosing] of text.matchAll(
    /<(\/?)[A-Za-z_](?:[^<>"']|"[^"]*"|'[^']*')*?(\/?)>/g,
  )) {
    if (tag.length > MOST_TAG)
      throw refuse('An element of the file has more attributes than any score needs.', 'damaged');
    if (closing) depth--;
    else if (!selfClosing) deepest = Math.max(deepest, ++depth);
    if (deepest > MOST_DEPTH) break;
  }
  return deepest;
}

/**
 * Reads XML from outside. Throws `score-unreadable` where it is too long, nests too deep, declares entities of its own (no score
 * needs any, and they can be made to grow without end) or is not well formed.
 */
export function readXml(text: string): XmlElement {
  if (text.length > MOST_LETTERS) throw refuse('The file is larger than any part of a score.', 'tooLarge');
  if (/<!ENTITY/i.test(text))
    throw refuse(
      'The file declares XML entities, which are not read. Save it again from its program.',
      'entities',
    );
  if (depthOf(text) > MOST_DEPTH)
    throw refuse(`The file is nested deeper than ${MOST_DEPTH} levels.`, 'tooDeep', { most: MOST_DEPTH });
  const valid = XMLValidator.validate(text);
  if (valid !== true)
    throw refuse(
      `The file is no XML that can be read: ${valid.err.msg.slice(0, MOST_DETAIL)} (line ${valid.err.line}).`,
      'notXml',
      {
        line: valid.err.line,
      },
    );
  const parser = new XMLParser({
    preserveOrder: true,
    ignoreAttributes: false,
    attributeNamePrefix: '',
    attributesGroupName: false,
    parseTagValue: false,
    parseAttributeValue: false,
    trimValues: true,
    ignoreDeclaration: true,
    ignorePiTags: true,
  });
  const root = parsed(parser, text)
    .map(elementOf)
    .find((element) => element !== null && element.name !== TEXT);
  if (!root) throw refuse('The file holds no element.', 'notScore');
  return root;
}

/** Names that programs are built of are refused by the parser, in its own words. */
function parsed(parser: XMLParser, text: string): Ordered[] {
  try {
    return parser.parse(text) as Ordered[];
  } catch {
    throw refuse('The file holds elements that no score has.', 'notScore');
  }
}

function elementOf(ordered: Ordered): XmlElement | null {
  const name = Object.keys(ordered).find((key) => key !== ATTRIBUTES);
  if (name === undefined || name === TEXT) return null;
  const inside = ordered[name];
  const list = Array.isArray(inside) ? (inside as Ordered[]) : [];
  return {
    name,
    attributes: (ordered[ATTRIBUTES] ?? {}) as Record<string, string>,
    children: list.flatMap((child) => elementOf(child) ?? []),
    text: list
      .map((child) => child[TEXT])
      .filter((part) => part !== undefined)
      .join('')
      .trim(),
  };
}

/** The first child of this name; null where there is none. */
export const child = (element: XmlElement, name: string) =>
  element.children.find((each) => each.name === name) ?? null;
/** All children of this name, in order. */
export const childrenOf = (element: XmlElement, name: string) =>
  element.children.filter((each) => each.name === name);

/** The text of a child; null where there is none. */
export const textOf = (element: XmlElement, name: string) => child(element, name)?.text ?? null;

/** The number in a child; null where there is none, or it is no number. */
export function numberOf(element: XmlElement, name: string): number | null {
  const text = textOf(element, name);
  const value = text === null || text === '' ? NaN : Number(text);
  return Number.isFinite(value) ? value : null;
}

/** An element to be written; a text stands alone in it. */
export interface NewXml {
  [name: string]: readonly NewXml[] | string | number | Record<string, string | number>;
}

/** An element with attributes, and children or a text. */
export function xml(
  name: string,
  inside: readonly NewXml[] | string | number = [],
  attributes: Record<string, string | number> = {},
): NewXml {
  const children = typeof inside === 'object' ? inside : [{ [TEXT]: inside }];
  return Object.keys(attributes).length === 0
    ? { [name]: children }
    : { [name]: children, [ATTRIBUTES]: attributes };
}

/** Writes elements as XML text; letters that mean something in XML are written as what they are. */
export function writeXml(root: NewXml, doctype: string): string {
  const builder = new XMLBuilder({
    preserveOrder: true,
    ignoreAttributes: false,
    attributeNamePrefix: '',
    format: true,
    indentBy: ' ',
    suppressEmptyNode: true,
    processEntities: true,
  });
  return `<?xml version="1.0" encoding="UTF-8"?>\n${doctype}${String(builder.build([root]))}`;
}
