import { spawnSync } from 'node:child_process';
import fs from 'node:fs';

/** Where Debian's Chromium is, installing it where apt is at hand; exits with a plain sentence where it cannot be had. */
export function ensureChromium() {
  const places = [process.env.CHROME_BIN, '/usr/bin/chromium', '/usr/bin/chromium-browser'].filter(Boolean);
  const found = () => places.find((place) => fs.existsSync(place));
  if (!found() && spawnSync('apt-get', ['--version']).status === 0) {
    console.log('Installing Chromium for the browser tests …');
    const sudo = process.getuid?.() === 0 ? [] : ['sudo', '-n'];
    const apt = (...args) => {
      const [command, ...rest] = [...sudo, 'apt-get', ...args];
      spawnSync(command, rest, { stdio: ['ignore', 'ignore', 'inherit'], env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } });
    };
    apt('update', '-qq');
    apt('install', '-y', '-qq', '--no-install-recommends', 'chromium');
  }
  const place = found();
  if (!place) {
    console.error('The browser tests need Chromium. Install it (on Debian: apt-get install chromium), or set CHROME_BIN to where it is.');
    process.exit(1);
  }
  return place;
}
