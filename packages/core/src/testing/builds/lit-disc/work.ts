import type { BeforeParts } from '../../../judging/results/index.js';
import { memoizeLast } from '../../../base/maths/index.js';
import type { BuildWork } from '../../../builds/common/build.js';
import type { FaceLitLaid, FaceLitResults } from '../../../builds/face-lit/results.js';
import { faceLitWork } from '../../../builds/face-lit/work.js';
import { asLetter, asWhole, type LitDiscResults } from './as-letter.js';
import type { LitDiscAssembly } from './schema.js';

type Can = BeforeParts<FaceLitResults>;

/** A disc is worked out as the letter that it is. */
export const litDiscWork: BuildWork<LitDiscAssembly, FaceLitLaid, LitDiscResults> = {
  stages: (...shop) => {
    const stages = faceLitWork.stages(...shop);
    const letterOf = memoizeLast(asLetter);
    const asCan = (results: BeforeParts<LitDiscResults>): Can => ({
      ...results,
      build: 'face-lit',
      assembly: letterOf.run(results.assembly),
    });
    return {
      lay: (brief, power, assembly) => stages.lay(brief, power, letterOf.run(assembly)),
      light: (brief, power, assembly, laid, wired) => stages.light(brief, power, letterOf.run(assembly), laid, wired),
      parts: (results) => stages.parts(asCan(results)),
      steps: (results) =>
        stages.steps({
          ...asCan(results),
          cut: results.cut,
          bought: results.bought,
          hang: results.hang,
          finishing: results.finishing,
        }),
      recomputed: stages.recomputed,
    };
  },
  rules: [],
  seeds: () => [],
  lessStrip: (results) => faceLitWork.lessStrip(asWhole(results)),
  figures: (results) => faceLitWork.figures(asWhole(results)),
  front: (results) => faceLitWork.front(asWhole(results)),
  templates: () => ({}),
  solids: () => [],
  cutByTool: ({ stock }) => stock !== 'return',
  hung: (results) => faceLitWork.hung({ ...results, build: 'face-lit', assembly: asLetter(results.assembly) }),
  toFinish: (results) => faceLitWork.toFinish({ ...results, build: 'face-lit', assembly: asLetter(results.assembly) }),
  trace: null,
};
