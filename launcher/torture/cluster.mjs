// A Galera cluster of three on loopback, made for a trial and taken down again.
import { execFileSync, spawn, spawnSync } from 'node:child_process';
import { chmodSync, existsSync, mkdirSync, openSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { freePort } from '../database.mjs';
import { beganAt, endProcess, sleep } from '../processes.mjs';
import { findProgram, plainError, say } from '../setup.mjs';

const PROVIDER = '/usr/lib/galera/libgalera_smm.so';
const root = process.getuid?.() === 0;
/** The state transfer's daemon gives up root and could not read root's folders. */
const WHO = root ? 'nobody' : '';

/** Galera and rsync from Debian, and the state-transfer scripts out of the server's package, unpacked but not installed. */
function tools(scratch) {
  const missing = [
    [PROVIDER, 'galera-4'],
    ['/usr/bin/rsync', 'rsync'],
    ['/usr/bin/lsof', 'lsof'],
  ]
    .filter(([f]) => !existsSync(f))
    .map(([, p]) => p);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const folder = join(scratch, 'server-package');
  mkdirSync(folder, { recursive: true });
  try {
    if (missing.length) execFileSync('apt-get', ['install', '-y', '--no-install-recommends', ...missing], { stdio: 'ignore', env });
    execFileSync('apt-get', ['download', 'mariadb-server'], { cwd: folder, stdio: 'ignore', env });
    const file = readdirSync(folder).find((n) => n.endsWith('.deb'));
    execFileSync('dpkg', ['-x', file, '.'], { cwd: folder, stdio: 'ignore' });
  } catch {
    throw plainError(
      'a cluster needs Debian’s galera-4, rsync and lsof, and its package mariadb-server to be had; run the trial with a network, as root',
    );
  }
  return join(folder, 'usr', 'bin');
}

export async function startCluster(scratch) {
  const path = `${tools(scratch)}:${process.env.PATH}:/usr/sbin:/usr/local/bin`;
  const mariadbd = findProgram(['mariadbd']);
  const base = join(scratch, 'cluster');
  mkdirSync(base, { recursive: true });
  for (let dir = base; dir !== '/' && dir !== '/tmp'; dir = join(dir, '..')) chmodSync(dir, 0o777);
  const nodes = [];
  for (let i = 1; i <= 3; i++) nodes.push({ name: `n${i}`, port: await freePort(3911 + 10 * i), group: await freePort(5101 + 100 * i) });
  const address = `gcomm://${nodes.map((n) => `127.0.0.1:${n.group}`).join(',')}`;
  const env = { ...process.env, PATH: path };
  const ask = (node, sql) =>
    spawnSync('mariadb', ['--no-defaults', '-uroot', '-S', join(base, `${node.name}.sock`), '-N', '-e', sql], { encoding: 'utf8', env });
  for (const [i, node] of nodes.entries()) {
    const dir = join(base, node.name);
    mkdirSync(dir);
    execFileSync(
      'mariadb-install-db',
      [
        '--no-defaults',
        ...(WHO ? [`--user=${WHO}`] : []),
        `--datadir=${join(dir, 'd')}`,
        '--auth-root-authentication-method=normal',
        '--skip-test-db',
      ],
      { stdio: 'ignore', env },
    );
    if (WHO) execFileSync('chown', ['-R', WHO, base]);
    const log = openSync(join(base, `${node.name}.log`), 'a');
    const words = [
      '--no-defaults',
      ...(WHO ? [`--user=${WHO}`] : []),
      `--datadir=${join(dir, 'd')}`,
      `--socket=${join(base, `${node.name}.sock`)}`,
      `--port=${node.port}`,
      '--bind-address=127.0.0.1',
      `--pid-file=${join(base, `${node.name}.pid`)}`,
      '--binlog-format=ROW',
      '--innodb-autoinc-lock-mode=2',
      '--max-allowed-packet=64M',
      '--max-connections=200',
      '--character-set-server=utf8mb4',
      '--collation-server=utf8mb4_unicode_ci',
      '--skip-name-resolve',
      '--wsrep-on=ON',
      `--wsrep-provider=${PROVIDER}`,
      '--wsrep-cluster-name=trial',
      `--wsrep-cluster-address=${address}`,
      `--wsrep-node-name=${node.name}`,
      `--wsrep-node-address=127.0.0.1:${node.group}`,
      `--wsrep-provider-options=base_port=${node.group};gmcast.listen_addr=tcp://127.0.0.1:${node.group};ist.recv_addr=127.0.0.1:${node.group + 1};gcache.size=64M`,
      '--wsrep-sst-method=rsync',
      `--wsrep-sst-receive-address=127.0.0.1:${node.group + 2}`,
      ...(i === 0 ? ['--wsrep-new-cluster'] : []),
    ];
    const child = spawn(mariadbd, words, { stdio: ['ignore', log, log], env });
    node.known = { pid: child.pid, began: beganAt(child.pid) };
    let synced = false;
    for (let tries = 0; tries < 120 && !synced; tries++) {
      await sleep(500);
      synced = /Synced/.test(ask(node, "show status like 'wsrep_local_state_comment'").stdout ?? '');
    }
    if (!synced) throw plainError(`node ${node.name} did not join; see ${join(base, `${node.name}.log`)}`);
  }
  ask(
    nodes[0],
    "create database oldhand character set utf8mb4 collate utf8mb4_unicode_ci; create user 'oldhand'@'127.0.0.1' identified by 'trial'; grant all on oldhand.* to 'oldhand'@'127.0.0.1'",
  );
  say(`Three nodes are synced on ports ${nodes.map((n) => n.port).join(', ')}`);
  const url = (order) => `mysql://oldhand:trial@${order.map((i) => `127.0.0.1:${nodes[i].port}`).join(',')}/oldhand`;
  return {
    nodes,
    url,
    kill: (i) => process.kill(nodes[i].known.pid, 'SIGKILL'),
    stop: async () => {
      for (const node of nodes) await endProcess(node.known, 20_000);
    },
  };
}
