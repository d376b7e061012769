/** Where something is played: a path of the Stand with its choices, and nothing that a link could be led away by. */
const PATH = /^\/stand(?:\/[\w.-]{1,80}){0,3}$/;
const CHOICES = /^[\w.*&=%+~-]*$/;
const LONGEST = 4000;

/** A stored address as a link may have it; null where it is none of the app's own. */
export function ownAddress(address: unknown): string | null {
  if (typeof address !== 'string' || address.length > LONGEST) return null;
  const [path, choices = '', ...more] = address.split('?');
  if (more.length > 0 || !PATH.test(path) || path.includes('..') || !CHOICES.test(choices)) return null;
  return choices === '' ? path : `${path}?${choices}`;
}
