import { dirname, join, resolve } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { buildNode } from '../../../scripts/lib/nodeBuild.mjs';

/**
 * Runs a worker of a server that itself runs from its sources, as tests and benches do: a thread or process
 * of its own does not inherit their TypeScript loader, and from the bundle it is there in a tenth of the time.
 * @param {string} name of the worker among the bundle's entries
 */
export async function runBundled(name) {
  const root = resolve(dirname(fileURLToPath(import.meta.url)), '../../..');
  const folder = await buildNode(root, 'server');
  await import(pathToFileURL(join(folder, `${name}.mjs`)).href);
}
