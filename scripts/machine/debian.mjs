import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { note, Plain, step } from './say.mjs';
import { run } from './run.mjs';

const PROGRAMS = {
  'mariadb-server': ['/usr/sbin/mariadbd'],
  'chromium-headless-shell': ['/usr/bin/chromium-headless-shell'],
  'poppler-utils': ['/usr/bin/pdftotext'],
  haproxy: ['/usr/sbin/haproxy'],
  rsync: ['/usr/bin/rsync'],
};

/** Installs the Debian packages whose programs are missing; says how when it may not. */
export async function debianPackages(...names) {
  const missing = names.filter((name) => !PROGRAMS[name].some((path) => existsSync(path)));
  if (missing.length === 0) return;
  await step(`Installing ${missing.join(' and ')} from Debian`, async () => {
    if (spawnSync('apt-get', ['--version']).error) {
      throw new Plain(
        `${missing.join(' and ')} is needed and this machine has no apt-get.\nInstall it by this system's own means and start again.`,
      );
    }
    const admin = process.getuid?.() === 0 ? [] : ['sudo', '-n'];
    if (admin.length > 0 && spawnSync('sudo', ['-n', 'true']).status !== 0) {
      throw new Plain(
        `${missing.join(' and ')} is needed. Run as root, or first:\n  sudo apt-get install ${missing.join(' ')}`,
      );
    }
    const apt = [...admin, 'env', 'DEBIAN_FRONTEND=noninteractive', 'apt-get'];
    const call = (...args) =>
      run(apt[0], [...apt.slice(1), ...args], { quiet: true, failure: `apt-get ${args[0]} failed` });
    note('asking for the list of packages');
    await call('update');
    note(`fetching and unpacking ${missing.join(', ')}; this takes a minute or two`);
    await call('install', '-y', '--no-install-recommends', ...missing);
  });
}
