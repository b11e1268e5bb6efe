import { join, resolve } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { buildNode } from './lib/nodeBuild.mjs';

/** The headless command, from its bundle. */
const root = resolve(fileURLToPath(new URL('..', import.meta.url)));
const folder = await buildNode(root, 'cli');
await import(pathToFileURL(join(folder, 'main.mjs')).href);
