export const PAPERS = ['a4', 'letter'] as const;
export type Paper = (typeof PAPERS)[number];

/** Width between the margins, in CSS pixels (96 an inch), margins of 15 mm. */
export const PRINTED_WIDTH_PX: Record<Paper, number> = { a4: 680, letter: 703 };

export function readPaper(search: URLSearchParams): Paper {
  return search.get('paper') === 'letter' ? 'letter' : 'a4';
}
