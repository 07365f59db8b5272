import { execFileSync, spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { cpSync, existsSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** Steps that `npm run demo` and `npm test` share. Plain Node: they run before anything is installed. */

const MARK = 'node_modules/.slow-pot-installed';

/** Installs what the lock file names, unless that very lock file was installed before. */
export function installPackages() {
  const wanted = hashOf(['package-lock.json']);
  if (existsSync(MARK) && readFileSync(MARK, 'utf8') === wanted) return;
  console.log('Installing packages…');
  run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  writeFileSync(MARK, wanted);
}

/** Builds the browser side and the server when their sources have changed since. */
export function build() {
  const sources = ['core', 'contract', 'server', 'web', 'demo']
    .flatMap(filesUnder)
    .filter((file) => !/\.test\.tsx?$/.test(file));
  const id = hashOf([...sources, 'package-lock.json', 'vite.config.ts']);
  if (existsSync('dist/build-id') && readFileSync('dist/build-id', 'utf8') === id) return;
  console.log('Building…');
  run('npx', ['vite', 'build', '--logLevel', 'warn']);
  rmSync('dist/server', { recursive: true, force: true });
  bundle('server/main.ts', 'dist/server/main.js');
  bundle('server/rebuild.ts', 'dist/server/rebuild.js');
  bundle('server/files/read-worker.ts', 'dist/server/read-worker.js');
  bundle('server/storage/check-worker.ts', 'dist/server/check-worker.js');
  bundle('demo/seed.ts', 'dist/demo/seed.js');
  bundle('demo/starter.ts', 'dist/demo/starter.js');
  run(process.execPath, ['dist/demo/starter.js', 'dist/web/starter-book.json']);
  cpSync('server/storage/migrations', 'dist/server/migrations', { recursive: true });
  writeFileSync('dist/build-id', id);
}

/** One file of what a file and its imports hold, packages left out. */
export function bundle(from, to) {
  const how = ['--bundle', '--platform=node', '--format=esm', '--packages=external', '--log-level=warning'];
  run('npx', ['esbuild', from, ...how, `--outfile=${to}`]);
}

/** Debian's Chromium, installed when it is missing and this is root on Debian; otherwise says what to do. */
export function needChromium() {
  if (existsSync('/usr/bin/chromium')) return;
  const isDebianRoot = existsSync('/etc/debian_version') && process.getuid?.() === 0;
  if (!isDebianRoot) {
    console.error(
      'The browser tests want Chromium at /usr/bin/chromium. On Debian: apt-get install chromium',
    );
    process.exit(1);
  }
  console.log('Installing Chromium…');
  run('apt-get', ['update', '-qq']);
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium']);
}

/** Runs a command with its output on the screen; ends with its exit code if it fails. */
export function run(command, args, env = {}) {
  const { status } = spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, ...env } });
  if (status !== 0) process.exit(status ?? 1);
}

/** Runs a server until it ends: a signal to this process is one to it, so that none is left behind. */
export function serve(args, env = {}) {
  const child = spawn(process.execPath, args, { stdio: 'inherit', env: { ...process.env, ...env } });
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => child.kill(signal));
  child.once('exit', (code, signal) => process.exit(code ?? (signal ? 1 : 0)));
}

/** Runs a command and gives back what it printed and how it ended. */
export function capture(command, args, env = {}, quiet = false) {
  try {
    const out = execFileSync(command, args, {
      encoding: 'utf8',
      maxBuffer: 64 << 20,
      env: { ...process.env, ...env },
      stdio: ['ignore', 'pipe', quiet ? 'ignore' : 'inherit'],
    });
    return { ok: true, out };
  } catch (error) {
    return { ok: false, out: String(error.stdout ?? '') };
  }
}

function hashOf(files) {
  const hash = createHash('sha256');
  for (const file of [...files].sort())
    hash.update(file).update('\0').update(readFileSync(file)).update('\0');
  return hash.digest('hex');
}

function filesUnder(folder) {
  return readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .map((file) => join(folder, file))
    .filter((file) => statSync(file).isFile());
}
