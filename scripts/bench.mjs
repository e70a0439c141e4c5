import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { inRoot } from './lib/paths.mjs';
import { runMain, say } from './lib/say.mjs';
import { setUp } from './lib/setup.mjs';

const rounds = 15;

const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];

/** Median time of `work` over several rounds once warm (ms); `work` gets the round’s number. */
const timed = (work, count = rounds) => {
  for (let round = 0; round < 6; round += 1) work(round);
  return median(
    Array.from({ length: count }, (_, round) => {
      const start = performance.now();
      work(round + 6);
      return performance.now() - start;
    }),
  );
};

/** The plain double loop over LEDs × cells, as anybody would write it: the yardstick. */
const plainLoop = ({ runs, geometry, glow, circuit, materials }) => {
  const { grid } = glow;
  const map = new Float64Array(grid.columns * grid.rows);
  const flux = materials.strip.lumensPerM / materials.strip.ledsPerM;
  for (let led = 0; led < runs.leds.count; led += 1)
    for (let row = 0; row < grid.rows; row += 1)
      for (let column = 0; column < grid.columns; column += 1) {
        const dx = grid.area.x + (column + 0.5) * grid.cellWidthMm - runs.leds.x[led];
        const dy = grid.area.y + (row + 0.5) * grid.cellHeightMm - runs.leds.y[led];
        const h = geometry.inside.depthMm - runs.leds.z[led];
        const distance = Math.sqrt(dx * dx + dy * dy + h * h);
        const cos = h / distance;
        const intensity = (flux * circuit.fluxShare[led] * Math.pow(cos, 1)) / Math.PI;
        map[row * grid.columns + column] += (intensity * cos * 1e6) / (distance * distance);
      }
  return map;
};

await runMain(async () => {
  await setUp();
  const core = await import(inRoot('packages/core/dist/index.js'));
  const packages = createRequire(inRoot('packages/core/package.json'));
  const fonts = await core.loadFontBook(async (file) => {
    const bytes = await readFile(packages.resolve(file));
    return bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength);
  });
  const [box] = core.demoDesigns.dispensary.assemblies;
  // 600 × 300 mm inside, 4 rows of 50 LEDs, a map of 256 × 128 cells.
  const design = (depthInsideMm) => ({
    ...core.demoDesigns.dispensary,
    assemblies: [
      {
        ...box,
        case: { ...box.case, widthMm: 624, heightMm: 324, depthInsideMm },
        light: { ...box.light, stripId: 'coated-white-24v-70', rowCount: 5, endMarginMm: 10 },
      },
    ],
  });
  const evaluator = core.createEvaluator(core.shippedCatalogue, fonts);
  const at = (depth) => evaluator.evaluate(design(depth)).value;
  const sample = at(80);
  const { columns, rows } = sample.glow.grid;
  const edit = timed((round) => at(60 + round));
  const loop = timed(() => plainLoop(sample), 5);
  const artwork = timed((round) =>
    evaluator.evaluate({
      ...design(80),
      assemblies: [{ ...design(80).assemblies[0], artwork: { ...box.artwork, capHeightMm: 60 + round } }],
    }),
  );
  say(`map ${columns} × ${rows}, ${sample.runs.leds.count} LEDs, interreflection included`);
  say(`  every figure after a change of depth   ${edit.toFixed(1)} ms   (a frame is 16 ms; a page wants 100 ms)`);
  say(`  every figure after a change of letters ${artwork.toFixed(1)} ms`);
  say(`  plain double loop over LEDs × cells    ${loop.toFixed(1)} ms`);
  say(`  ratio plain loop : whole preview       ${(loop / edit).toFixed(2)}`);
  for (const [name, demo] of Object.entries(core.demoDesigns)) {
    const own = core.createEvaluator(core.shippedCatalogue, fonts);
    const [first] = demo.assemblies;
    const time = timed((round) =>
      own.evaluate({ ...demo, assemblies: [{ ...first, case: { ...first.case, depthInsideMm: 50 + round } }] }),
    );
    say(`demo ${name.padEnd(14)} refreshed in ${time.toFixed(1)} ms after a change of depth`);
  }
});
