import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Plugin } from 'vite';

/**
 * A large module that page and workers all import: written once, and imported by its address. Each worker is a build of its own
 * and would otherwise ship a copy. `isWorker`: the page's build writes it.
 */
export function sharedModule(id: string, isWorker = false): Plugin {
  const file = createRequire(import.meta.url).resolve(id);
  const hash = createHash('sha256').update(readFileSync(file)).digest('base64url').slice(0, 8);
  const fileName = `assets/${id.slice(id.lastIndexOf('/') + 1, -3)}-${hash}.js`;
  const inside = `\0shared:${id}`;
  return {
    name: 'shared-module',
    apply: 'build',
    enforce: 'pre',
    buildStart() {
      if (!isWorker)
        this.emitFile({ type: 'chunk', id: inside, fileName, preserveSignature: 'exports-only' });
    },
    resolveId(wanted) {
      if (wanted === inside) return wanted;
      return wanted === id ? { id: `/${fileName}`, external: true } : null;
    },
    load: (wanted) => (wanted === inside ? `export { default } from ${JSON.stringify(file)};` : null),
  };
}
