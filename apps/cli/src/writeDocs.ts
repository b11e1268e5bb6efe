import { writeFile } from 'node:fs/promises';
import { calculatorsPage } from './calculatorsPage.ts';

/** Writes the page of the calculators; a test holds it to what they say. */
await writeFile(new URL('../../../docs/calculators.md', import.meta.url), calculatorsPage());
