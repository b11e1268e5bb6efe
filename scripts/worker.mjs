import { spawn } from 'node:child_process';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { installDependencies } from './lib/dependencies.mjs';
import { buildNode } from './lib/nodeBuild.mjs';
import { complain, PlainError, say } from './lib/say.mjs';
import { supervise } from './lib/supervise.mjs';

/** One more worker, on any machine that reaches the database: DATABASE_URL=… npm run worker */
const root = resolve(fileURLToPath(new URL('..', import.meta.url)));

async function main() {
  if (!process.env.DATABASE_URL) throw new PlainError('DATABASE_URL says where the database is');
  await installDependencies(root);
  const program = join(await buildNode(root, 'server'), 'jobWorker.mjs');
  const worker = await supervise({
    name: 'the worker',
    tell: complain,
    giveUp: (line) => {
      complain(line);
      process.exit(1);
    },
    start: async () => startProcess(program),
  });
  say('Working. Ctrl-C stops it, after the case at hand.');
  const stop = () => void worker.stop().then(() => process.exit(0));
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
}

function startProcess(program) {
  const child = spawn(process.execPath, ['--enable-source-maps', program], {
    cwd: root,
    env: { ...process.env, LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn', NODE_ENV: 'production' },
    stdio: ['ignore', 'inherit', 'inherit'],
    // Ctrl-C reaches us alone; we then stop it.
    detached: true,
  });
  const ended = new Promise((end) =>
    child.once('exit', (code, signal) => end(signal ? `killed by ${signal}` : `exit code ${code}`)),
  );
  return {
    ended,
    async stop() {
      child.kill('SIGTERM');
      await ended;
    },
  };
}

main().catch((error) => {
  complain(error);
  process.exit(1);
});
