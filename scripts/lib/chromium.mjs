import { existsSync } from 'node:fs';
import { installPackages } from './systemPackages.mjs';

const CHROMIUM = '/usr/bin/chromium';
const SHELL = '/usr/bin/chromium-headless-shell';

/** Debian's Chromium, as people use it: for pictures and measurements. */
export async function installChromium() {
  if (!existsSync(CHROMIUM)) await installPackages(['chromium'], 'Chromium');
  return CHROMIUM;
}

/**
 * The browser for tests: the same Chromium without its window, which takes a fifth less time over them; the whole one
 * where Debian has no such package.
 */
export async function installTestBrowser() {
  if (existsSync(SHELL)) return SHELL;
  try {
    await installPackages(['chromium-headless-shell'], 'Chromium without its window');
    return SHELL;
  } catch {
    return installChromium();
  }
}
