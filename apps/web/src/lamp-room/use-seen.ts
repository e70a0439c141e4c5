import { exposureFor, glareOf, type Evaluation, type Exposure, type Glare } from '@vitrum/core';
import { useMemo } from 'react';
import { useParts } from '../view/use-parts';
import { useView } from '../view/view-store';

/**
 * How what is shown is seen under the light chosen: the exposure, which the eye has from the sign as it is designed, and the
 * veil of the light that is shown; null while it gives none.
 */
export const useSeen = (
  { assemblies }: Evaluation,
  shown: Evaluation,
  { lightsOn, lit }: { readonly lightsOn: boolean; readonly lit: boolean },
): { readonly exposure: Exposure; readonly glare: Glare | null } => {
  const { ambient, viewer } = useParts(useView, 'ambient', 'viewer');
  const exposure = useMemo(
    () => exposureFor(assemblies, ambient, lightsOn, viewer),
    [assemblies, ambient, lightsOn, viewer],
  );
  const distanceMm = shown.design.brief.readingDistanceMm;
  const glare = useMemo(
    () => (lit && viewer === 'eye' ? glareOf(shown.assemblies, distanceMm) : null),
    [shown.assemblies, distanceMm, lit, viewer],
  );
  return { exposure, glare };
};
