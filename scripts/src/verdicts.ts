import { runRow, VERDICT_ROWS, type Ear } from '@inner-hum/core/verdicts';

// npm run verdicts: what was written, what was played instead, what must be said and what was said; with `additive` or `simulated` from
// sound instead of from the truth, with `wrong` only what is not as it should be.

const args = process.argv.slice(2);
const ear: Ear = args.includes('additive') ? 'additive' : args.includes('simulated') ? 'simulated' : 'truth';

const rows = VERDICT_ROWS.filter(({ onlySimulated }) => ear !== 'additive' || !onlySimulated);
let right = 0;
for (const row of rows) {
  const { said, wrong } = runRow(row, ear);
  if (wrong === null) right++;
  if (wrong === null && args.includes('wrong')) continue;
  const { family, phrase = 0, hornId, played, wanted } = row;
  const must =
    wanted === 'passes'
      ? 'passes'
      : Object.entries(wanted)
          .map(([item, kinds]) => `${item}: ${kinds.join(' or ')}`)
          .join('; ');
  console.log(
    `${wrong === null ? 'right' : 'WRONG'} | ${hornId} ${family} ${phrase} | ${played} | ${must} | ${said}${wrong === null ? '' : ` | ${wrong}`}`,
  );
}
console.log(`${right} of ${rows.length} verdicts are right (${ear}).`);
if (right < rows.length) process.exitCode = 1;
