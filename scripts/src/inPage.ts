import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { build } from 'esbuild';

/** Runs a function of web/src/bench in the page, on the database the app has open there. */
export async function inPage<Answer>(page: Page, file: string, call: string): Promise<Answer> {
  const bundle = await build({
    entryPoints: [join(import.meta.dirname, '../../web/src/bench', file)],
    bundle: true,
    write: false,
    format: 'iife',
    globalName: 'bench',
    platform: 'browser',
    target: 'es2023',
  });
  const names = await page.evaluate(async () => (await indexedDB.databases()).map(({ name }) => name ?? ''));
  const name = names.find((each) => each.startsWith('inner-hum')) ?? names[0];
  return (await page.evaluate(
    `${bundle.outputFiles[0].text}; bench.${call}(${JSON.stringify(name)})`,
  )) as Answer;
}
