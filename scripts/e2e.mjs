import { spawn } from 'node:child_process';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { createServer } from 'node:http';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { installChromium, installTestBrowser } from './lib/chromium.mjs';
import { buildNode } from './lib/nodeBuild.mjs';
import { freePort, startCluster } from './lib/postgres.mjs';
import { complain, step } from './lib/say.mjs';
import { buildWeb } from './lib/webBuild.mjs';

/**
 * Runs a program against the whole product: a database of its own, the demo shop, the built web app.
 * node scripts/e2e.mjs [program and arguments]; the browser tests by default.
 */
const root = resolve(fileURLToPath(new URL('..', import.meta.url)));

async function main() {
  const [program = 'npx', ...args] = process.argv.slice(2);
  const tests = ['playwright', 'test', '-c', 'e2e/playwright.config.ts'];
  const command = args.length > 0 ? args : tests;
  process.env.CHROMIUM ??= await (command.includes('playwright')
    ? installTestBrowser()
    : installChromium());
  const web = await buildWeb(root);
  const folder = mkdtempSync(join(tmpdir(), 'keen-e2e-'));
  // As root the server runs as the postgres user, which must be able to pass through.
  chmodSync(folder, 0o755);
  const cluster = await startCluster(folder);
  let server;
  try {
    const port = await freePort();
    server = await startServer({ cluster, web, port });
    const switchboard = await serverSwitch({
      stop: async () => {
        await ended(server);
        server = null;
      },
      start: async () => {
        server ??= await startServer({ cluster, web, port });
      },
    });
    try {
      return await runWith(program, command, `http://127.0.0.1:${port}`, switchboard.url);
    } finally {
      switchboard.close();
    }
  } finally {
    if (server) await ended(server);
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

async function startServer({ cluster, web, port }) {
  const program = join(await buildNode(root, 'server'), 'main.mjs');
  step('starting the demo shop');
  const args = ['--enable-source-maps', program, '--demo'];
  // Its made-up past takes some minutes of both cores: only for pictures of it.
  if (process.env.KEEN_YEARS) args.push('--years');
  return new Promise((ready, reject) => {
    const child = spawn(process.execPath, args, {
      cwd: root,
      env: {
        ...process.env,
        DATABASE_URL: cluster.url,
        DATABASE_OWNER_URL: cluster.ownerUrl,
        WEB_DIR: web,
        PORT: String(port),
        LOG_LEVEL: 'warn',
        NODE_ENV: 'production',
      },
      stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    });
    child.on('message', (message) => {
      if (message.ready) ready(child);
    });
    child.on('exit', (code) => reject(new Error(`the server stopped with ${code}`)));
  });
}

function ended(child) {
  return new Promise((done) => {
    child.once('exit', done);
    child.kill('SIGTERM');
  });
}

/** Lets a test stop the server and start it again: POST /stop, POST /start. */
async function serverSwitch(does) {
  const http = createServer((req, res) => {
    const work = does[req.url?.slice(1) ?? ''];
    if (!work) {
      res.writeHead(404).end();
      return;
    }
    work().then(
      () => res.end('done'),
      (error) => res.writeHead(500).end(String(error)),
    );
  });
  await new Promise((ready) => http.listen(0, '127.0.0.1', ready));
  return { url: `http://127.0.0.1:${http.address().port}`, close: () => http.close() };
}

function runWith(program, args, url, switchUrl) {
  return new Promise((done) => {
    const child = spawn(program, args, {
      cwd: root,
      stdio: 'inherit',
      env: { ...process.env, KEEN_URL: url, KEEN_SWITCH: switchUrl },
    });
    child.on('exit', (code) => done(code ?? 1));
  });
}

main().then(
  (code) => process.exit(code),
  (error) => {
    complain(error);
    process.exit(1);
  },
);
