import { writeFileSync } from 'node:fs';
import { cpus, totalmem } from 'node:os';
import { join } from 'node:path';

/** The day and the machine of a measurement, without which its figures mean nothing; null: without a browser. */
export function measuredOn(chromiumVersion: string | null): string {
  const [cpu] = cpus();
  const memory = `${Math.round(totalmem() / 2 ** 30)} GB`;
  return `${new Date().toISOString().slice(0, 10)}, ${cpus().length} x ${cpu.model.trim()}, ${memory}, no GPU; Node ${process.versions.node}${chromiumVersion === null ? '' : `, Chromium ${chromiumVersion}`}.`;
}

/** Writes a page of docs/. */
export function writePage(name: string, text: string): void {
  writeFileSync(join(import.meta.dirname, '../../docs', name), text);
}
