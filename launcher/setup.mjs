// Knows what a fresh machine lacks: packages from npm and Debian, and the bundles made from the sources.
import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));
const BUILD = join(ROOT, 'build');

/** An error already said in plain words. */
export function plainError(message) {
  return Object.assign(new Error(message), { told: true });
}

export function say(text) {
  process.stderr.write(`${text}\n`);
}

const sleepNow = (ms) => Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, ms);

/** Runs `work` while no other process of this checkout does; waits up to ten minutes for one that does. */
export function withLock(name, work) {
  mkdirSync(BUILD, { recursive: true });
  const lock = join(BUILD, `${name}.lock`);
  for (let waited = 0; ; waited += 100) {
    try {
      mkdirSync(lock);
      writeFileSync(join(lock, 'pid'), String(process.pid));
      break;
    } catch (error) {
      if (error.code !== 'EEXIST') throw error;
      let owner = 0;
      try {
        owner = Number(readFileSync(join(lock, 'pid'), 'utf8'));
      } catch {
        // The owner has not yet written its number.
      }
      let alive = owner > 0 || waited < 2000;
      if (owner > 0) {
        try {
          process.kill(owner, 0);
        } catch {
          alive = false;
        }
      }
      if (!alive) rmSync(lock, { recursive: true, force: true });
      else if (waited > 600000)
        throw plainError(`another process has been building for ten minutes; end process ${owner} or remove ${lock}`);
      else sleepNow(100);
    }
  }
  try {
    return work();
  } finally {
    rmSync(lock, { recursive: true, force: true });
  }
}

/** A short sum over files' contents, so that a new checkout of the same sources needs no new build. */
export function sourcesHash(paths) {
  const sum = createHash('sha256');
  const visit = (path) => {
    let info;
    try {
      info = statSync(path);
    } catch {
      return;
    }
    if (info.isDirectory()) {
      for (const name of readdirSync(path).sort()) if (name !== 'node_modules' && !name.endsWith('.test.ts')) visit(join(path, name));
    } else {
      sum.update(relative(ROOT, path)).update('\0').update(readFileSync(path)).update('\0');
    }
  };
  for (const path of paths) visit(join(ROOT, path));
  return sum.digest('hex').slice(0, 24);
}

const stampOf = (file) => {
  try {
    return readFileSync(file, 'utf8');
  } catch {
    return '';
  }
};

/** npm's packages, exactly as the lock file says; a stamp tells whether they are the right ones. */
export function ensurePackages() {
  const stamp = join(ROOT, 'node_modules', '.oldhand-stamp');
  const wanted = sourcesHash(['package-lock.json']);
  if (stampOf(stamp) === wanted) return;
  withLock('packages', () => {
    if (stampOf(stamp) === wanted) return;
    say('Installing packages (npm ci) …');
    const done = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--include=dev'], {
      cwd: ROOT,
      stdio: ['ignore', 2, 2],
      env: { ...process.env, NODE_ENV: 'development' },
    });
    if (done.status !== 0) throw plainError('the packages could not be installed; with a network, run: npm ci');
    writeFileSync(stamp, wanted);
  });
}

const BUNDLE_SOURCES = ['core', 'headless', 'atelier', 'server', 'words', 'package-lock.json', 'launcher/setup.mjs', 'tsconfig.json'];

/** The headless entry and the server's workers, bundled by esbuild when their sources have changed. */
export function ensureBundles() {
  const out = join(BUILD, 'bundle');
  const stamp = join(out, '.stamp');
  const wanted = sourcesHash(BUNDLE_SOURCES);
  if (stampOf(stamp) === wanted) return;
  withLock('bundle', () => {
    if (stampOf(stamp) === wanted) return;
    const esbuild = createRequire(join(ROOT, 'package.json'))('esbuild');
    const entries = {
      headless: 'headless/main.ts',
      'work-thread': 'server/jobs/workThread.ts',
      'seed-demo': 'server/demo/seedCommand.ts',
      migrate: 'server/database/migrateCommand.ts',
    };
    const entryPoints = Object.fromEntries(
      Object.entries(entries).flatMap(([name, path]) => (existsSync(join(ROOT, path)) ? [[name, join(ROOT, path)]] : [])),
    );
    esbuild.buildSync({
      entryPoints,
      outdir: out,
      outExtension: { '.js': '.mjs' },
      bundle: true,
      splitting: true,
      format: 'esm',
      platform: 'node',
      target: 'node20',
      packages: 'external',
      alias: { '@': ROOT },
      sourcemap: false,
      logLevel: 'error',
    });
    writeFileSync(stamp, wanted);
  });
}

const APP_SOURCES = [
  'app',
  'ui',
  'core',
  'server',
  'atelier',
  'words',
  'instrumentation.ts',
  'proxy.ts',
  'next.config.ts',
  'postcss.config.mjs',
  'package-lock.json',
  'tsconfig.json',
  'public',
];

/** Next's production build, when its sources have changed. */
export function ensureApplication() {
  const stamp = join(ROOT, '.next', '.oldhand-stamp');
  const wanted = sourcesHash(APP_SOURCES);
  if (stampOf(stamp) === wanted) return;
  withLock('application', () => {
    if (stampOf(stamp) === wanted) return;
    say('Building the application …');
    const build = () =>
      spawnSync(process.execPath, [join(ROOT, 'node_modules', 'next', 'dist', 'bin', 'next'), 'build'], {
        cwd: ROOT,
        stdio: ['ignore', 'pipe', 'pipe'],
        encoding: 'utf8',
        maxBuffer: 1e8,
        env: { ...process.env, NODE_ENV: 'production', NEXT_TELEMETRY_DISABLED: '1' },
      });
    let done = build();
    // A build whose launcher was killed goes on by itself; its end is waited for, five minutes at most.
    for (let tries = 0; tries < 60 && /Another next build process/.test(done.stdout + done.stderr); tries++) {
      sleepNow(5000);
      done = build();
    }
    if (done.status !== 0) {
      say(done.stdout + done.stderr);
      throw plainError('the application could not be built; the lines above say where');
    }
    writeFileSync(stamp, wanted);
  });
}

export function findProgram(names) {
  for (const dir of [...(process.env.PATH ?? '').split(':'), '/usr/sbin', '/usr/local/sbin', '/usr/bin'])
    for (const name of names) if (dir && existsSync(join(dir, name))) return join(dir, name);
  return null;
}

/** The programs that may have to be installed: the names each goes by, and Debian's package for it. */
const PROGRAMS = {
  mariadbd: [['mariadbd', 'mysqld'], 'mariadb-server-core'],
  'mariadb-install-db': [['mariadb-install-db', 'mysql_install_db'], 'mariadb-server-core'],
  mariadb: [['mariadb', 'mysql'], 'mariadb-client-core'],
  'mariadb-dump': [['mariadb-dump', 'mysqldump'], 'mariadb-client'],
  chromium: [['chromium'], 'chromium'],
};

/** Installs the Debian package of each program that is missing, where this user may; else says the exact command. */
export function ensurePrograms(...names) {
  const missing = names.filter((name) => !findProgram(PROGRAMS[name][0]));
  if (!missing.length) return;
  const packages = [...new Set(missing.map((name) => PROGRAMS[name][1]))];
  const command = `apt-get install -y --no-install-recommends ${packages.join(' ')}`;
  const root = process.getuid?.() === 0;
  if (!root || !findProgram(['apt-get']))
    throw plainError(
      `${missing.join(', ')} is missing, and only an administrator may install it; run: sudo apt-get update && sudo ${command}`,
    );
  say(`Installing ${packages.join(', ')} …`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  try {
    execFileSync('apt-get', ['update'], { stdio: ['ignore', 'ignore', 2], env });
    execFileSync('apt-get', command.split(' ').slice(1), { stdio: ['ignore', 'ignore', 2], env });
  } catch {
    throw plainError(`Debian's packages could not be installed; run: ${command}`);
  }
}

/** The same for programs one can do without until they are needed: what cannot be had now is only said. */
export function wishPrograms(...names) {
  try {
    ensurePrograms(...names);
  } catch (error) {
    say(`Without it there are no backups: ${error.message}`);
  }
}
