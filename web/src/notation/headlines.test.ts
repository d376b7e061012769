import { FAMILIES, DEFAULT_SCALE } from '@inner-hum/core/exercise';
import { HEADLINE_DRILLS, runRow, type HeadlineDrill, type HeadlineRow } from '@inner-hum/core/verdicts';
import type { TFunction } from 'i18next';
import { beforeAll, describe, expect, it } from 'vitest';
import { familyName } from './familyName.ts';
import { englishInTests } from './englishInTests.ts';
import { headlineText, type JudgedTake } from './headlineText.ts';

let t: TFunction;
beforeAll(async () => {
  t = await englishInTests();
});

/** A row played by the simulated player's truth, phrase by phrase. */
function takesOf(drill: HeadlineDrill, row: HeadlineRow): JudgedTake[] {
  const phrases = row.phrases ?? [drill.phrase ?? 0];
  return phrases.map((phrase, i) => {
    const hornId = drill.hornId ?? 'alto';
    const { written, analysis } = runRow(
      {
        family: drill.family,
        hornId,
        phrase,
        choices: row.choices ?? drill.choices ?? {},
        played: row.played,
        change: row.change ?? ((exercise) => exercise),
        faults: row.faultsAt?.[i] ?? row.faults ?? [],
        profile: row.profile ?? {},
        wanted: 'passes',
      },
      row.bySound ? 'simulated' : 'truth',
      7 + i,
    );
    const isAfter = i >= phrases.length / 2;
    return { context: { exercise: written }, analysis, hornId, scale: DEFAULT_SCALE, isAfter };
  });
}

const headline = (drill: HeadlineDrill, row: HeadlineRow) =>
  headlineText(takesOf(drill, row), row.past ?? [], 'letters', t);

describe('the headline of a take', () => {
  it('has a row for what every family asks, clean and with its likeliest faults', () => {
    expect(HEADLINE_DRILLS.map(({ family }) => family)).toEqual(FAMILIES.map(({ id }) => id));
    for (const { family, rows } of HEADLINE_DRILLS) expect(rows.length, family).toBeGreaterThanOrEqual(4);
  });

  it('answers what is asked, in the words of docs/headlines.md', async () => {
    const lines = [
      '# Headlines',
      '',
      'What is said after a drill, played as it is written and with its likeliest faults: made by `headlines.test.ts`, by the simulated',
      'player on the alto. After an intended change: `npx vitest run web/src/notation/headlines.test.ts -u`, and read every line that changed.',
    ];
    for (const drill of HEADLINE_DRILLS) {
      const name = familyName(drill.family, t);
      lines.push(
        '',
        `## ${name}`,
        '',
        t(`familyPurpose.${drill.family}` as 'familyPurpose.swell'),
        '',
        '| played | headline |',
        '| --- | --- |',
      );
      for (const row of drill.rows) {
        const told = headline(drill, row);
        expect.soft(told, `${drill.family}: ${row.played}`).toMatch(/^[^a-z].*\.$/);
        expect.soft(told, `${drill.family}: ${row.played}`).not.toMatch(/\{\{|headline\.|NaN|null|undefined/);
        lines.push(`| ${row.played} | ${told} |`);
      }
    }
    await expect(`${lines.join('\n')}\n`).toMatchFileSnapshot('../../../docs/headlines.md');
  });
});
