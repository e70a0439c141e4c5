import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { pageBench } from './lib/page-bench.mjs';
import { inRoot } from './lib/paths.mjs';
import { serverBench } from './lib/server-bench.mjs';
import { planLines } from './lib/plan-bench.mjs';
import { runMain, say } from './lib/say.mjs';
import { setUp } from './lib/setup.mjs';
import { sheetLines } from './lib/sheet-bench.mjs';

const rounds = 15;

const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];

/** Shared machines are slowed down by others for seconds at a time: the quickest of so many passes is the program’s own. */
const passes = 3;

/** Median time of `work` over several rounds once warm (ms), in the quietest pass; `work` gets the round’s number. */
const timed = (work, count = rounds, warm = 6) => {
  for (let round = 0; round < warm; round += 1) work(round);
  const pass = (from) =>
    median(
      Array.from({ length: count }, (_, round) => {
        const start = performance.now();
        work(from + round);
        return performance.now() - start;
      }),
    );
  return Math.min(...Array.from({ length: passes }, (_, each) => pass(warm + each * count)));
};

/** The plain double loop over LEDs × cells, as anybody would write it: the yardstick. `share` of the LEDs, for patience. */
const plainLoop = ({ runs, geometry, share, materials }, grid, part = 1) => {
  const map = new Float64Array(grid.columns * grid.rows);
  const flux = materials.strip.lumensPerM / materials.strip.ledsPerM;
  const step = Math.max(1, Math.round(1 / part));
  for (let led = 0; led < runs.leds.count; led += step)
    for (let row = 0; row < grid.rows; row += 1)
      for (let column = 0; column < grid.columns; column += 1) {
        const dx = grid.area.x + (column + 0.5) * grid.cellWidthMm - runs.leds.x[led];
        const dy = grid.area.y + (row + 0.5) * grid.cellHeightMm - runs.leds.y[led];
        const h = geometry.inside.depthMm - runs.leds.z[led];
        const distance = Math.sqrt(dx * dx + dy * dy + h * h);
        const cos = h / distance;
        const intensity = (flux * share.fluxShare[led] * Math.pow(cos, 1)) / Math.PI;
        map[row * grid.columns + column] += (intensity * cos * 1e6) / (distance * distance);
      }
  return map;
};

const rated = (value, goal, unit, better) =>
  `${value.toFixed(1)} ${unit}   (goal ${better === 'less' ? '≤' : '≥'} ${goal} ${unit}: ${(better === 'less' ? value <= goal : value >= goal) ? 'holds' : 'MISSED'})`;

const loadCore = async () => {
  const core = await import(inRoot('packages/core/dist/index.js'));
  const glow = await import(inRoot('packages/core/dist/light/glow/index.js'));
  const tracing = await import(inRoot('packages/core/dist/light/tracing/index.js'));
  const network = await import(inRoot('packages/core/dist/power/network/index.js'));
  const packages = createRequire(inRoot('packages/core/package.json'));
  const fonts = await core.loadFontBook(async (file) => {
    const bytes = await readFile(packages.resolve(file));
    return bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength);
  });
  return { core, glow, tracing, network, fonts };
};

/** What a sign of one assembly evaluates to. */
const only = ({
  value: {
    assemblies: [own],
  },
}) => own;

/** The demo box with another size and strip. */
const boxOf = (core, change, light = {}) => {
  const [box] = core.demoDesigns.dispensary.assemblies;
  return {
    ...core.demoDesigns.dispensary,
    assemblies: [{ ...box, case: { ...box.case, ...change }, light: { ...box.light, ...light } }],
  };
};

/** The inputs of the glow stage, taken from an evaluation. */
const glowInputs = ({ design, assembly, geometry, materials, stack, distribution, runs, share }, limits) => {
  const none = new Map();
  return {
    brief: design.brief,
    litLetters: assembly.artwork.mode === 'lit-letters',
    geometry,
    materials,
    stack,
    distribution,
    runs,
    share,
    lettersOn: ({ columns, rows }) => {
      const key = columns * rows;
      if (!none.has(key)) none.set(key, new Float32Array(key));
      return none.get(key);
    },
    limits,
  };
};

const previewLines = ({ core, glow, fonts }) => {
  const evaluator = core.createEvaluator(core.shippedCatalogue, fonts);
  const wanted = { stripId: 'coated-white-24v-70', rowCount: 5, endMarginMm: 10 };
  const at = (depth) =>
    only(evaluator.evaluate(boxOf(core, { widthMm: 624, heightMm: 324, depthInsideMm: depth }, wanted)));
  const samples = Array.from({ length: rounds + 8 }, (_, round) => at(60 + round));
  const inputs = samples.map((sample) => glowInputs(sample, core.previewGrid));
  const [sample] = samples;
  const { columns, rows } = sample.glow.grid;
  const stage = timed((round) => glow.glowOf(inputs[round % inputs.length]), 40, 40);
  const whole = timed((round) => at(61.5 + round));
  const loop = timed(() => plainLoop(sample, sample.glow.grid), 5, 1);
  say(`preview: 600 × 300 mm, ${sample.runs.leds.count} LEDs, ${columns} × ${rows} cells, interreflection included`);
  say(`  the glow stage                     ${rated(stage, 16, 'ms', 'less')}`);
  say(`  every figure after a change of depth ${rated(whole, 100, 'ms', 'less')}`);
  say(`  plain double loop : glow stage     ${(loop / stage).toFixed(1)} : 1`);
};

const largeLines = ({ core, glow, fonts }) => {
  const evaluator = core.createEvaluator(core.shippedCatalogue, fonts);
  const result = evaluator.evaluate(
    boxOf(
      core,
      { widthMm: 2424, heightMm: 1224, depthInsideMm: 90, seatMm: 8 },
      { stripId: 'coated-white-24v-120', rowCount: 18, endMarginMm: 12 },
    ),
  );
  if (!result.ok) throw new Error(result.problems[0].message);
  const [sample] = result.value.assemblies;
  const limits = (cells) => ({ longSide: 1200, maxCells: cells, maxPairs: 1e12, patches: 400, rays: 40_000 });
  const inputs = glowInputs(sample, limits(720_000));
  const before = process.memoryUsage().rss;
  const time = timed(() => glow.glowOf(inputs), 3, 1);
  const quarter = timed(() => glow.glowOf({ ...inputs, limits: { ...limits(180_000), longSide: 600 } }), 3, 1);
  const lit = glow.glowOf(inputs);
  const rss = process.memoryUsage().rss / 2 ** 20;
  const share = 1 / 50;
  const start = performance.now();
  plainLoop(sample, lit.grid, share);
  const loop = (performance.now() - start) / share;
  // The same light by the plain loop at a few hundred cells, direct only.
  const meter = {
    planeBehindMm: 0,
    towardNormal: () => 1,
    lambertian: true,
    imageShare: 0,
    narrowestRad: Math.PI / 2,
    blur: null,
  };
  const leds = glow.emittersOf(
    sample.runs,
    sample.materials.strip.lumensPerM / sample.materials.strip.ledsPerM,
    sample.share.fluxShare,
    sample.distribution,
    false,
  );
  const merged = glow.emittersOf(
    sample.runs,
    sample.materials.strip.lumensPerM / sample.materials.strip.ledsPerM,
    sample.share.fluxShare,
    sample.distribution,
    true,
  );
  const probe = core.gridOver({ x: -1100, y: -500, width: 2200, height: 1000 }, 22, 10);
  const [own, plain] = [glow.directLight(merged, probe, 90, meter, null, 'exact').map, plainLoop(sample, probe)];
  const off = own.reduce((worst, value, cell) => Math.max(worst, Math.abs(value / plain[cell] - 1)), 0);
  say(
    `\nlarge: 2400 × 1200 mm, ${leds.count} LEDs, ${lit.grid.columns} × ${lit.grid.rows} cells, interreflection included`,
  );
  say(`  the glow stage                     ${rated(time / 1000, 1, 's', 'less')}   by ${lit.methods.join(', ')}`);
  say(`  four times the cells take          ${(time / quarter).toFixed(2)} times as long`);
  say(
    `  memory of the process              ${rated(rss, 512, 'MB', 'less')}, ${(rss - before / 2 ** 20).toFixed(0)} MB of it for this`,
  );
  say(
    `  plain double loop : glow stage     ${rated(loop / time, 50, ': 1', 'more')}   (loop timed on 1 LED in ${1 / share}, scaled)`,
  );
  say(`  worst difference from that loop    ${rated(off * 100, 0.5, '%', 'less')}`);
};

const tracingLines = ({ core, tracing, fonts }) => {
  const evaluation = only(core.createEvaluator(core.shippedCatalogue, fonts).evaluate(core.demoDesigns.dispensary));
  // One letter as a case: the S of the demo’s lettering, its walls as many as its outline has.
  const outline = evaluation.lettering.outline.filter((ring) => ring.length > 30).slice(0, 1);
  const xs = outline.flat().map(([x]) => x);
  const ys = outline.flat().map(([, y]) => y);
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const [x, y] = outline[0].reduce(([a, b], [u, v]) => [a + u / outline[0].length, b + v / outline[0].length], [0, 0]);
  const one = (value) => Float64Array.of(value);
  const white = { reflectance: 0.9, mirrorShare: 0 };
  const tracer = tracing.createTracer({
    outline,
    depthMm: 40,
    back: white,
    walls: white,
    face: { reflectance: 0.45, transmittance: 0.45 },
    block: null,
    lights: {
      count: 1,
      x: one(x),
      y: one(y),
      z: one(3),
      nx: one(0),
      ny: one(0),
      nz: one(1),
      ux: one(1),
      uy: one(0),
      uz: one(0),
      fluxLm: one(100),
      distribution: { kind: 'cosine', exponent: 1 },
    },
    grid: core.gridOver({ x: left, y: low, width: right - left, height: high - low }, 40, 40),
    seed: 1,
  });
  tracer.step(40_000);
  // Other work on the machine only ever slows a round down, so the best one tells what the code does.
  const rates = Array.from({ length: 12 }, () => {
    const before = tracer.found().wallHits;
    const start = performance.now();
    tracer.step(40_000);
    const seconds = (performance.now() - start) / 1000;
    return (tracer.found().wallHits - before) / seconds / 1e6;
  });
  say(`\ntracing: a letter-shaped case of ${outline[0].length} walls`);
  say(`  wall hits a second, one core       ${rated(Math.max(...rates), 3, 'M', 'more')}`);
  say(`  the same, median of ${rates.length} rounds      ${median(rates).toFixed(1)} M`);
};

const demoLines = ({ core, fonts }) => {
  say('\ndemo designs: every figure after an edit');
  for (const [name, demo] of Object.entries(core.demoDesigns)) {
    const own = core.createEvaluator(core.shippedCatalogue, fonts);
    const [first] = demo.assemblies;
    const depth = timed((round) =>
      own.evaluate({ ...demo, assemblies: [{ ...first, case: { ...first.case, depthInsideMm: 50 + round } }] }),
    );
    const letters = timed((round) =>
      own.evaluate({ ...demo, assemblies: [{ ...first, artwork: { ...first.artwork, capHeightMm: 40 + round } }] }),
    );
    say(`  ${name.padEnd(14)} depth ${rated(depth, 100, 'ms', 'less')}`);
    say(`  ${' '.repeat(14)} letters ${rated(letters, 100, 'ms', 'less')}`);
  }
};

/** A drawing of 500 bowed outlines, each with a hole. */
const drawingText = () => {
  const shapes = Array.from({ length: 500 }, (_, at) => {
    const [x, y] = [(at % 25) * 40, Math.floor(at / 25) * 40];
    return `<path fill-rule="evenodd" transform="rotate(${at} ${x + 20} ${y + 20})" d="M${x + 5} ${y + 20}C${x + 5} ${y} ${x + 35} ${y} ${x + 35} ${y + 20}S${x + 5} ${y + 40} ${x + 5} ${y + 20}ZM${x + 14} ${y + 20}a6 6 0 1 0 12 0a6 6 0 1 0-12 0Z"/>`;
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" width="1000mm" height="800mm" viewBox="0 0 1000 800">${shapes.join('')}</svg>`;
};

const artworkLines = ({ core, fonts }) => {
  const text = drawingText();
  const take = () => core.takeDrawing({ kind: 'svg', name: 'bench.svg', text }, core.usualIntake).value;
  const outlines = take().outline.length;
  const seconds = timed(take, 5, 1) / 1000;
  say(`\nartwork: an SVG of ${outlines / 2} outlines with a hole each`);
  say(`  read and put right                 ${rated(seconds, 2, 's', 'less')}`);
  const evaluator = core.createEvaluator(core.shippedCatalogue, fonts);
  const line = 'PORT SALLOW FERRY HALL';
  const design = core.demoDesigns.dispensary;
  const typed = timed(
    (round) => evaluator.evaluate({ ...design, brief: { ...design.brief, text: line.slice(0, 12 + (round % 10)) } }),
    15,
  );
  say(`  every figure after a letter typed  ${rated(typed, 100, 'ms', 'less')}`);
  const { curlew } = core.demoDesigns;
  const answers = { name: 'bench', text: line, readingDistanceMm: 3000 };
  for (const { name, words, sizes } of core.allBuilds) {
    const own = core.newDesign(name, { ...answers, sizesMm: { ...core.usualSizes(sizes), capHeightMm: 100 } });
    const anew = timed(
      (round) => evaluator.evaluate({ ...own, brief: { ...own.brief, text: line.slice(0, 12 + (round % 10)) } }),
      15,
    );
    say(`  a new job: ${words.name.toLowerCase().padEnd(24)}${rated(anew, 100, 'ms', 'less')}`);
  }
  const [assembly] = curlew.assemblies;
  const stood = timed(
    (round) =>
      evaluator.evaluate({
        ...curlew,
        assemblies: [{ ...assembly, letters: { ...assembly.letters, standoffMm: 18 + (round % 9) } }],
      }),
    15,
  );
  say(`  the ferry’s letters stood off      ${rated(stood, 100, 'ms', 'less')}`);
};

/** Reels of strip (5 m, 15 W/m) end to end in twos on wires from one supply, every other two fed at both ends. */
const stripNetwork = ({ networkBuilder, addLadder }, segments, groups) => {
  const builder = networkBuilder();
  const [minus, plus] = [builder.node(), builder.node()];
  builder.source(minus, plus, 24, 1e-4);
  const laws = [
    { kind: 'resistive', forwardV: 17, siemens: 0.0045 },
    { kind: 'regulated', fromV: 16, fullV: 19, amps: 0.031 },
  ];
  const wired = (ends, [ownPlus, ownMinus], ohm) => {
    builder.resistor(ends[0], ownPlus, ohm);
    builder.resistor(ends[1], ownMinus, ohm);
  };
  let last = [plus, minus];
  for (let segment = 0; segment < segments; segment += 1) {
    const ladder = addLadder(builder, { groups, law: laws[(segment >> 1) % 2], railOhm: 0.2 });
    const first = segment % 2 === 0;
    wired(first ? [plus, minus] : last, [ladder.startPlus, ladder.startMinus], first ? 0.03 : 0.005);
    last = [ladder.endPlus, ladder.endMinus];
    if (segment % 4 === 3) wired([plus, minus], last, 0.06);
  }
  return builder.build();
};

const circuitLines = ({ network }) => {
  say('\ncircuit: 200 segments of strip, 20,000 groups, solved anew each time');
  const circuit = stripNetwork(network, 200, 100);
  let found = null;
  const time = timed(() => (found = network.solveNetwork(circuit)));
  say(`  every volt and ampere              ${rated(time, 50, 'ms', 'less')}`);
  const prepared = network.prepareNetwork(circuit);
  const again = timed(() => network.solveNetwork(circuit, prepared));
  say(`  the same, wired as before          ${again.toFixed(1)} ms`);
  say(`  ${found.rounds} rounds, Kirchhoff’s law to ${found.residualA.toExponential(1)} A`);
  const half = timed(() => network.solveNetwork(stripNetwork(network, 100, 100)));
  const whole = timed(() => network.solveNetwork(stripNetwork(network, 200, 100)));
  say(`  twice the segments take              ${(whole / half).toFixed(2)} times as long`);
};

/** Ten metres of strip in a groove lit again at another level: the light by itself, and all that goes with it. */
const lineLines = async ({ core, glow, fonts }) => {
  const { grooveGlowOf } = await import(inRoot('packages/core/dist/builds/groove/glow.js'));
  const base = core.demoDesigns['late-soup'];
  const [assembly] = base.assemblies;
  const drawn = { ...assembly.lines.drawn, scale: 4.8 };
  const large = {
    ...assembly,
    lines: { ...assembly.lines, drawn, ends: [] },
    carrier: { ...assembly.carrier, shape: 'margin' },
  };
  const leveled = (round) => ({
    ...base,
    assemblies: [large],
    power: { ...base.power, level: 0.3 + 0.01 * (round % 60) },
  });
  const evaluator = core.createEvaluator(core.shippedCatalogue, fonts);
  const result = evaluator.evaluate(leveled(0));
  if (!result.ok) throw new Error(result.problems[0].message);
  const [own] = result.value.assemblies;
  const inputs = { ...own, brief: base.brief, carrier: large.carrier, design: large.groove, limits: glow.previewGrid };
  const light = timed((round) => {
    const fluxShare = own.share.fluxShare.map((each) => each * (1 + 0.01 * (round % 7)));
    grooveGlowOf({ ...inputs, share: { ...own.share, fluxShare } });
  });
  const whole = timed((round) => evaluator.evaluate(leveled(1 + round)));
  say(`\nlines in a groove: ${(own.runs.stripMm / 1000).toFixed(1)} m of strip at another level`);
  say(`  their light                        ${rated(light, 100, 'ms', 'less')}`);
  say(`  with all findings and figures      ${whole.toFixed(0)} ms`);
};

/** Five sheets lit again at another level, and with one of them moved; the light by itself, and all that goes with it. */
const sceneLines = async ({ core, fonts }) => {
  const { lightScene, layNet } = await import(inRoot('packages/core/dist/light/layers/index.js'));
  const { sourcesFrom } = await import(inRoot('packages/core/dist/light/photometry/index.js'));
  const { litPlanes } = await import(inRoot('packages/core/dist/builds/layers/planes.js'));
  const { emittersOf, previewGrid, colourOf } = await import(inRoot('packages/core/dist/light/glow/index.js'));
  const { sceneLimits } = await import(inRoot('packages/core/dist/builds/layers/scene-limits.js'));
  const base = core.demoDesigns['reed-bed'];
  const [assembly] = base.assemblies;
  const evaluator = core.createEvaluator(core.shippedCatalogue, fonts);
  const evaluated = (design) => {
    const result = evaluator.evaluate(design);
    if (!result.ok) throw new Error(result.problems[0].message);
    return result.value;
  };
  const [own] = evaluated(base).assemblies;
  const { planes, net } = litPlanes(own.scene, assembly.scene, own.geometry, own.materials, previewGrid);
  const { lumensPerM } = colourOf(base.brief.light, own.materials.strip);
  const lamps = emittersOf(
    own.runs,
    lumensPerM / own.materials.strip.ledsPerM,
    own.share.fluxShare,
    own.distribution,
    false,
  );
  const limits = sceneLimits(previewGrid);
  // As many as the goal is for: some left out all the way round.
  const asked = 120;
  const { x, y, z, nx, ny, nz, ux, uy, uz, fluxLm, count } = lamps;
  const thinned = sourcesFrom(
    Array.from({ length: asked }, (_, at) => {
      const led = Math.floor((at * count) / asked);
      return [...[x, y, z, nx, ny, nz, ux, uy, uz].map((each) => each[led]), (fluxLm[led] * count) / asked];
    }),
    lamps.distribution,
  );
  const relit = timed(() => lightScene(planes, thinned, limits, net));
  const anew = timed(() => lightScene(planes, thinned, limits, layNet(planes, limits.patchLongSide)));
  const leveled = timed((round) => evaluated({ ...base, power: { ...base.power, level: 0.3 + 0.01 * (round % 60) } }));
  const moved = timed((round) => {
    const sheets = assembly.scene.sheets.map((sheet, at) =>
      at === 2 ? { ...sheet, heightMm: 33 + (round % 5) / 2 } : sheet,
    );
    evaluated({ ...base, assemblies: [{ ...assembly, scene: { ...assembly.scene, sheets } }] });
  });
  say(`\nfive layered sheets of 600 × 300 mm, ${asked} LEDs; with all findings ${own.runs.leds.count}`);
  say(`  their light at another level       ${relit.toFixed(0)} ms`);
  say(`  their light, one of them moved     ${rated(anew, 150, 'ms', 'less')}`);
  say(`  all findings at another level      ${leveled.toFixed(0)} ms`);
  say(`  all findings, one sheet moved      ${moved.toFixed(0)} ms`);
};

const parts = {
  circuit: circuitLines,
  preview: previewLines,
  large: largeLines,
  sheet: () => sheetLines({ timed, rated }),
  lines: lineLines,
  scene: sceneLines,
  plan: (loaded) => planLines(loaded, { say, timed, rated }),
  tracing: tracingLines,
  artwork: artworkLines,
  demos: demoLines,
  page: () => pageBench(say, rated),
  server: ({ core }) => serverBench(say, rated, core),
};

await runMain(async () => {
  const named = process.argv.slice(2);
  await setUp();
  const loaded = await loadCore();
  for (const [name, lines] of Object.entries(parts))
    if (named.length === 0 || named.includes(name)) await lines(loaded);
});
