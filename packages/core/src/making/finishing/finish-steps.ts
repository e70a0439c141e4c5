import type { ToldStep } from '../steps/index.js';
import type { Coated, FinishedSurface, Finishing, GluedBond } from './types.js';

/** A wait in words: 25 min, 8 h, 2 days. */
export const waitWords = (minutes: number): string =>
  minutes < 90
    ? `${Math.round(minutes)} min`
    : minutes < 2880
      ? `${Math.round(minutes / 6) / 10} h`.replace('.0 h', ' h')
      : `${Math.round(minutes / 144) / 10} days`.replace('.0 days', ' days');

const verbs = { primer: 'Prime', colour: 'Paint', clear: 'Varnish', oil: 'Oil' } as const;

const cautions = {
  brush: 'Ventilate; gloves. Rags with oil on them catch fire by themselves: dry them flat, or drown them.',
  spray: 'Spray in a booth or outdoors: mask for vapours, no flame or spark.',
} as const;

const coatSteps = (surface: FinishedSurface, betweenMin: number | null): readonly ToldStep[] =>
  surface.layers.map(({ paint, coats, litres, workMin, waitMin }: Coated, at): ToldStep => {
    const wait = betweenMin ?? paint.recoatMin;
    return {
      id: `coat-${surface.id}-${at + 1}`,
      phase: 'finish',
      title: `${verbs[paint.kind]} the ${surface.name}${coats > 1 ? `, ${coats} coats` : ''}`,
      detail: [
        `${paint.name}, ${Math.max(0.01, litres).toFixed(2)} L; ${waitWords(wait)} after each coat${surface.turned ? ', and as long again for the other side' : ''}.`,
        ...(paint.sandGrit === null ? [] : [`Sand with ${paint.sandGrit} before the next and dust it off.`]),
        ...(at === 0 && surface.masked !== null ? [`Mask ${surface.masked}.`] : []),
      ].join(' '),
      minutes: workMin,
      waitMinutes: betweenMin === null ? waitMin : (waitMin * betweenMin) / Math.max(1, paint.recoatMin),
      caution: paint.kind === 'oil' ? cautions.brush : cautions[paint.by].split('. Rags')[0]!,
      ofSign: false,
    };
  });

/** The steps of painting a surface; none where nothing is laid on it by this. */
export const surfaceSteps = (finishing: Finishing | null, id: string): readonly ToldStep[] => {
  const surface = finishing?.surfaces.find((each) => each.id === id);
  return surface === undefined ? [] : coatSteps(surface, finishing!.betweenCoatsMin);
};

/** What a joint is glued with, in words: open time, clamps, cure, and where the bead goes. */
export const glueWords = (finishing: Finishing | null, id: string): string => {
  const bond: GluedBond | undefined = finishing?.bonds.find((each) => each.id === id);
  if (bond?.glue === undefined || bond.glue === null) return '';
  const { name, openMin, clampMin, cureMin, squeezesOut } = bond.glue;
  return [
    ` ${name}: brought together within ${waitWords(openMin)}, held for ${waitWords(clampMin)}, loaded after ${waitWords(cureMin)}.`,
    ...(squeezesOut
      ? [
          bond.fine
            ? ' Begin the bead 5 mm in from what is seen: it squeezes out.'
            : ' Wipe what squeezes out while it is wet.',
        ]
      : []),
  ].join('');
};

/** How long a joint stays clamped (min). */
export const clampMinutes = (finishing: Finishing | null, id: string, otherwise: number): number =>
  finishing?.bonds.find((each) => each.id === id)?.glue?.clampMin ?? otherwise;
