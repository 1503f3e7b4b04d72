// `./oldhand test`: every check, and the true sum of what passed and failed over the runners.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sideBySide } from './checks.mjs';
import { ensureApplication, ensureBundles, ensurePackages, ensurePrograms, ROOT, say } from './setup.mjs';

const bin = (name) => join(ROOT, 'node_modules', '.bin', name);

export async function test(words) {
  const only = new Set(words);
  const wanted = (name) => only.size === 0 || only.has(name);
  ensurePrograms('mariadbd', 'mariadb-install-db', 'mariadb', 'mariadb-dump', 'chromium');
  ensurePackages();
  ensureBundles();
  const results = [];
  const scratch = mkdtempSync(join(tmpdir(), 'oldhand-test-'));
  const counted = (name, command, args, report, read, env = {}) => {
    if (!wanted(name)) return;
    say(`\n== ${name}`);
    const done = spawnSync(command, args, {
      cwd: ROOT,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, ...env },
    });
    let sum = { passed: 0, failed: 0 };
    try {
      sum = read(JSON.parse(readFileSync(report, 'utf8')));
    } catch {
      // No report is a failure of its own, counted below.
    }
    if ((done.status !== 0 && sum.failed === 0) || sum.passed + sum.failed === 0) sum.failed += 1;
    results.push({ name, ...sum });
  };
  try {
    const checks = [
      ['lint', bin('eslint'), ['.', '--max-warnings=0']],
      ['types', process.execPath, [join(ROOT, 'node_modules/typescript/bin/tsc'), '--noEmit']],
      ['format', bin('prettier'), ['--check', '--log-level=warn', '.']],
      [
        'layers',
        bin('depcruise'),
        ['--config', '.dependency-cruiser.cjs', 'core', 'words', 'server', 'app', 'ui', 'headless', 'atelier'].filter(
          (p) => p.startsWith('-') || p.startsWith('.') || existsSync(join(ROOT, p)),
        ),
      ],
      ['kernels', process.execPath, [join(ROOT, 'launcher/kernels.mjs'), '--check']],
      ['sentences outside words', process.execPath, [join(ROOT, 'launcher/english.mjs')]],
      ['dead code', bin('knip'), ['--no-progress']],
    ].filter(([name]) => wanted(name));
    // Each of them uses one core; the longest begins.
    const checked = await sideBySide(checks, 2, { cwd: ROOT, env: { ...process.env, CI: 'true' } }, ({ name, printed }) => {
      say(`\n== ${name}`);
      process.stdout.write(printed);
    });
    for (const { name, passed } of checked) results.push({ name, passed: passed ? 1 : 0, failed: passed ? 0 : 1 });
    const jest = (name, ...more) => {
      const report = join(scratch, `${name.replaceAll(' ', '-')}.json`);
      counted(name, bin('jest'), ['--ci', '--json', `--outputFile=${report}`, '--testLocationInResults', ...more], report, (r) => ({
        passed: r.numPassedTests,
        failed: r.numFailedTests + r.numRuntimeErrorTestSuites,
      }));
    };
    jest('unit and reference', '--selectProjects', 'core');
    // The launcher's own tests start the application; whoever waits for its build is timed.
    if (wanted('server') || wanted('browser')) ensureApplication();
    // One after another: the queue they claim from is one for all.
    jest('server', '--selectProjects', 'server', '--runInBand');
    const browserReport = join(scratch, 'browser.json');
    counted(
      'browser',
      bin('playwright'),
      ['test'],
      browserReport,
      (r) => ({ passed: r.stats.expected + r.stats.flaky, failed: r.stats.unexpected }),
      { PLAYWRIGHT_JSON_OUTPUT_NAME: browserReport, OLDHAND_TEST_SCRATCH: scratch },
    );
  } finally {
    rmSync(scratch, { recursive: true, force: true });
  }
  say('');
  for (const r of results) say(`${r.failed ? 'FAILED' : 'passed'}  ${r.name}: ${r.passed} passed, ${r.failed} failed`);
  const passed = results.reduce((s, r) => s + r.passed, 0);
  const failed = results.reduce((s, r) => s + r.failed, 0);
  process.stdout.write(`${passed} passed, ${failed} failed\n`);
  return failed ? 1 : 0;
}
