import { existsSync } from 'node:fs';
import { installDebian } from './debian.mjs';

/** Debian's Chromium, the lighter build without windows first. */
const packages = ['chromium-headless-shell', 'chromium'];
const found = () => packages.map((name) => `/usr/bin/${name}`).find((place) => existsSync(place));

/** Debian's Chromium, installed when it is missing and this user may. Older Debians have no build without windows. */
export const findChromium = async () => {
  const lacking = 'Chromium is not on this machine, and browser tests need it.';
  if (found() === undefined)
    await installDebian([packages[0]], lacking).catch(() => installDebian([packages[1]], lacking));
  return found();
};

/** What Chromium needs to run headless, as root too, without reaching for the network. */
export const chromiumArguments = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
