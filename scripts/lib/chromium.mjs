import { existsSync } from 'node:fs';
import { installDebian } from './debian.mjs';

const places = ['/usr/bin/chromium', '/usr/bin/chromium-browser'];

/** Debian's Chromium, installed when it is missing and this user may. */
export const findChromium = async () => {
  const found = () => places.find((place) => existsSync(place));
  if (found() === undefined)
    await installDebian(['chromium'], 'Chromium is not on this machine, and browser tests need it.');
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
