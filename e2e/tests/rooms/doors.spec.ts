import { readFileSync } from 'node:fs';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { expect, playOut, STATES, test, visit } from '../../browser.ts';
import { ROOMS } from '../../rooms.ts';
import { putRows } from '../../storedRows.ts';

// What an archive brings in may be anything; whoever brings it in still has a house in which every room opens.

type Row = Record<string, unknown>;

/** Rows that would break a room each, in the tables of an archive. */
const ODD_ROWS: Record<string, (row: Row) => Row> = {
  'a foreign address': (round) => ({ ...round, id: 'foreign', address: 'https://example.org/' }),
  'an address that is code': (round) => ({ ...round, id: 'code', address: 'javascript:alert(1)' }),
};
const ODD_TAKES: ((take: Row) => Row)[] = [
  (take) => ({ ...take, startedAt: 8.64e15 }),
  (take) => ({ ...take, scale: { floorDb: -20, ceilingDb: -20 } }),
  (take) => ({ ...take, analysis: { ...(take.analysis as Row), events: [null] } }),
  (take) => ({ ...take, analysis: { ...(take.analysis as Row), verdict: { findings: 3 } } }),
  (take) => ({ ...take, analysis: { ...(take.analysis as Row), items: [{ kind: 'song' }] } }),
  (take) => ({ ...take, context: { ...(take.context as Row), exercise: { phrases: [] } } }),
  (take) => ({ ...take, call: { soft: 42 } }),
];
const ODD_AIM = {
  id: 'aim',
  hornId: 'alto',
  text: 'luck',
  goal: { measure: 'luck', scope: {}, target: 1, wants: 'more' },
  byDay: null,
  createdAt: 1,
  doneAt: null,
};

test('an archive with odd rows: each is named, the rest is there, every room opens, and an archive can be written', async ({
  page,
  browser,
  baseURL,
}) => {
  await page.goto('/stand/drill/overtoneSwitch?tries=1');
  await playOut(page);
  await visit(page, '/case/keeping');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export', exact: true }).click();
  const parts = unzipSync(readFileSync(await (await download).path()));
  const rounds = Object.keys(parts).find((name) => /tables\/rounds/.test(name)) ?? '';
  const [round] = JSON.parse(strFromU8(parts[rounds])) as Row[];
  parts[rounds] = strToU8(JSON.stringify([round, ...Object.values(ODD_ROWS).map((change) => change(round))]));
  parts['tables/aims-1.json'] = strToU8(JSON.stringify([ODD_AIM]));
  const takePart = Object.keys(parts).find((name) => name.endsWith('/take.json')) ?? '';
  const take = JSON.parse(strFromU8(parts[takePart])) as Row & { id: string };
  for (const [i, change] of ODD_TAKES.entries())
    parts[takePart.replace(take.id, `odd-${i}`)] = strToU8(
      JSON.stringify(change({ ...take, id: `odd-${i}` })),
    );

  const context = await browser.newContext({
    storageState: STATES.quick,
    ...(baseURL !== undefined && { baseURL }),
  });
  const other = await context.newPage();
  await other.goto('/case/keeping');
  await other.locator('input[type=file]').setInputFiles({
    name: 'odd.zip',
    mimeType: 'application/zip',
    buffer: Buffer.from(zipSync(parts)),
  });
  await other.getByRole('button', { name: 'Add to what is here' }).click();
  const told = other.getByTestId('keeping-told');
  await expect(told).toContainText('1 take restored');
  await expect(told).toContainText(`${ODD_TAKES.length + 3} parts could not be read`);
  for (const room of [...ROOMS, `/takes/${take.id}`, `/takes/round/${String(round.id)}`]) {
    await visit(other, room);
    await other.getByRole('main').waitFor();
    await expect(other.getByRole('heading', { name: 'This room could not be shown' })).toHaveCount(0);
    expect(await other.locator('a[href*="example.org"], a[href^="javascript"]').count(), room).toBe(0);
  }
  // And out again.
  await visit(other, '/case/keeping');
  const again = other.waitForEvent('download');
  await other.getByRole('button', { name: 'Export', exact: true }).click();
  expect(
    Object.keys(unzipSync(readFileSync(await (await again).path()))).some((name) => name === takePart),
  ).toBe(true);
  await context.close();
});

test('a score that takes for ever is given up with a sentence, and the next file is read', async ({
  page,
}) => {
  const bar = (n: number) =>
    `<measure number="${n}"><note><pitch><step>C</step><octave>5</octave></pitch><duration>4</duration></note></measure>`;
  const score = (bars: number) =>
    Buffer.from(
      `<score-partwise><part-list><score-part id="P"><part-name>x</part-name></score-part></part-list><part id="P">${Array.from({ length: bars }, (_, i) => bar(i + 1)).join('')}</part></score-partwise>`,
    );
  await page.goto('/shelf');
  const choose = page.locator('input[type=file]').first();
  await page.clock.install();
  await choose.setInputFiles({
    name: 'endless.musicxml',
    mimeType: 'application/xml',
    buffer: score(120_000),
  });
  await expect(async () => {
    await page.clock.runFor(1000);
    await expect(page.getByText('Nothing was imported: reading it takes longer than 5 s')).toBeVisible({
      timeout: 100,
    });
  }).toPass();
  await page.clock.resume();
  await choose.setInputFiles({ name: 'short.musicxml', mimeType: 'application/xml', buffer: score(4) });
  await expect(page.getByRole('button', { name: 'Add to the Shelf' })).toBeVisible();
});

test('a row that is damaged where it lies: its list stands, it is set aside, exported and put back', async ({
  page,
}) => {
  await page.goto('/stand/swell?note=67&beats=2&tempoBpm=120');
  await playOut(page);
  await visit(page, '/takes');
  await expect(page.locator('main a[href^="/takes/"]').first()).toBeVisible();
  const address = await page.locator('main a[href^="/takes/"]').first().getAttribute('href');
  // Nothing is wrong with the take itself: its room fails on its frames.
  await putRows(page, 'frames', { columns: {} });
  await visit(page, address ?? '');
  await expect(page.getByRole('heading', { name: 'This room could not be shown' })).toBeVisible();
  await visit(page, '/takes');
  const damaged = page.getByTestId('damaged-row');
  await expect(damaged).toContainText('This row could not be shown.');
  await visit(page, address ?? '');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export everything' }).click();
  const names = Object.keys(unzipSync(readFileSync(await (await download).path())));
  expect(names.filter((name) => /take\.json$|^damaged\/frames/.test(name))).toHaveLength(2);
  await page.getByRole('button', { name: 'Set this row aside' }).click();
  await expect(page.getByRole('status')).toContainText('1 row that could not be read was set apart');
  await visit(page, '/takes');
  await expect(page.getByText('Every swell you play is kept here')).toBeVisible();
  await visit(page, '/case/keeping');
  await page.getByRole('button', { name: 'Put back', exact: true }).click();
  await expect(page.getByTestId('keeping-told')).toHaveText('The row is back in its place.');
  await visit(page, '/takes');
  await damaged.getByRole('button', { name: 'Set this row aside' }).click();
  await expect(damaged).toHaveCount(0);
});
