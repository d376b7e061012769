// npm run analyse: installs what is missing (told on standard error; standard output belongs to the figures), then
// runs the command straight from its sources.
import { ensurePackages } from './ensureInstalled.mjs';

ensurePackages();
const { tsImport } = await import('tsx/esm/api');
await tsImport('../cli/src/analyse.ts', import.meta.url);
