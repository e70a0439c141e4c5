import { changeStrip, oneChange, suitableStrips, wholeFront, type Rule } from '../../judging/findings/index.js';
import { fieldsIn, type AnyAssembly, type AssemblyResults } from '../../judging/results/index.js';
import { mm } from './step-words.js';
import { stripLaid } from './strip-laid.js';

/** An assembly whose strip keeps a margin at its ends. */
interface EndsInMargin extends AnyAssembly {
  readonly light: AnyAssembly['light'] & { readonly endMarginMm: number };
}

/** No segment of strip fits at all. */
export const noStrip: Rule<AssemblyResults<EndsInMargin>> = ({ results, catalogue }) => {
  if (results.runs.segments.length > 0) return null;
  const { strip } = results.materials;
  return {
    id: 'no-strip',
    severity: 'stop',
    step: 'light',
    what: 'Not one piece of this strip fits',
    why: `It is cut every ${mm(strip.cutPitchMm)}, and there is no room for that between the end margins.`,
    numbers: [{ label: 'cut pitch', value: strip.cutPitchMm, unit: 'mm' }],
    where: wholeFront(results),
    target: stripLaid,
    remedies: [
      oneChange('no-margin', 'End margin 2 mm', fieldsIn(results).light.endMarginMm, 2),
      changeStrip(
        results,
        suitableStrips(results, catalogue).filter(({ cutPitchMm }) => cutPitchMm < strip.cutPitchMm),
      ),
    ],
  };
};
