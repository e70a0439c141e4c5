import { inRoot } from './paths.mjs';
import { say } from './say.mjs';

const black = { top: 'black', right: 'black', bottom: 'black', left: 'black' };
const polished = { top: 'polished', right: 'polished', bottom: 'polished', left: 'polished' };
/** The yardstick is as fine as it takes to be right. */
const plainSlopes = 8;
const fit = { emitterMm: 2.5, gapMm: 0.5, offsetMm: 0 };

const sheetOf = (widthMm, heightMm, sides) => ({
  widthMm,
  heightMm,
  thicknessMm: 4,
  index: 1.49,
  lossPerMm: 0.0003,
  silver: null,
  sides,
});

const ledsOn = (lengthMm, count, side) =>
  Array.from({ length: count }, (_, at) => ({
    side,
    alongMm: ((at + 0.5) * lengthMm) / count,
    widthMm: 3,
    lumens: 20,
  }));

/** The middle of the sheet worked all over. */
const field = ({ widthMm, heightMm }, cellMm, chance) => {
  const [columns, rows] = [Math.ceil(widthMm / cellMm), Math.ceil(heightMm / cellMm)];
  const back = Float32Array.from({ length: columns * rows }, (_, cell) => {
    const [x, y] = [(cell % columns) / columns, Math.floor(cell / columns) / rows];
    return x > 0.1 && x < 0.9 && y > 0.2 && y < 0.9 ? chance : 0;
  });
  return { cellMm, columns, rows, front: null, back };
};

const sum = (values) => values.reduce((total, value) => total + value, 0);

/** Speeds of light in edge-lit sheets, and the plain loop beside it in the same run. */
export const sheetLines = async ({ timed, rated }) => {
  const sheets = await import(inRoot('packages/core/dist/light/sheet/index.js'));
  const { plainLoop, sheetLight, previewFollowing, fullFollowing } = sheets;
  const small = sheetOf(300, 300, polished);
  const smallLeds = [...ledsOn(300, 30, 'bottom'), ...ledsOn(300, 30, 'top')];
  const smallWorked = field(small, 3, 0.1);
  const preview = timed(() => sheetLight(small, fit, smallLeds, smallWorked, previewFollowing), 7, 5);
  say('edge-lit sheet: 300 × 300 mm, 60 LEDs on two edges; 600 × 900 mm, 200 LEDs');
  say(`  preview                            ${rated(preview, 100, 'ms', 'less')}`);
  const large = sheetOf(600, 900, polished);
  const largeLeds = [...ledsOn(600, 100, 'bottom'), ...ledsOn(600, 100, 'top')];
  const largeWorked = field(large, 4, 0.1);
  const full = timed(() => sheetLight(large, fit, largeLeds, largeWorked, fullFollowing), 3, 1);
  say(`  full map                           ${rated(full / 1000, 2, 's', 'less')}`);
  const dark = { ...large, sides: black };
  const every = 20;
  const some = largeLeds.filter((_, led) => led % every === 0);
  const start = performance.now();
  plainLoop(dark, fit, some, largeWorked, plainSlopes);
  const loop = (performance.now() - start) * every;
  // Like with like: the loop knows no bounces, so that it is held against a sheet that has none.
  const alike = timed(() => sheetLight(dark, fit, largeLeds, largeWorked, fullFollowing), 3, 1);
  say(
    `  plain loop : full map, no bounces  ${rated(loop / alike, 50, ': 1', 'more')}   (loop timed on 1 LED in ${every}, scaled)`,
  );
  const once = { ...small, sides: black };
  const [own, plain] = [
    sheetLight(once, fit, smallLeds, smallWorked, fullFollowing).out,
    sum(plainLoop(once, fit, smallLeds, smallWorked, plainSlopes)),
  ];
  say(`  difference from that loop          ${rated(Math.abs(own / plain - 1) * 100, 1, '%', 'less')}`);
};
