// Before anything else: whether this Node.js is new enough. Written for old ones, which would stumble over newer words.
import { readFileSync } from 'node:fs';

/** The friendly sentence for a version of Node.js that is too old; null where it is new enough. */
export function nodeRefusal(version, wanted) {
  const parts = (text) =>
    text
      .replace(/^[^0-9]*/, '')
      .split('.')
      .map(Number);
  const [major, minor] = parts(version);
  const [wantedMajor, wantedMinor] = parts(wanted);
  const isNewEnough = major > wantedMajor || (major === wantedMajor && minor >= wantedMinor);
  return isNewEnough
    ? null
    : `Inner Hum needs Node.js ${wantedMajor}.${wantedMinor} or newer; this is ${version}.`;
}

const { engines } = JSON.parse(readFileSync(new URL('../package.json', import.meta.url), 'utf8'));
const refusal = nodeRefusal(process.versions.node, engines.node);
if (refusal !== null) {
  console.error(refusal);
  process.exit(1);
}
