import { mostAreas, set, type EdgeLitAssembly, type PanelResults } from '@vitrum/core';
import { useState, type ReactNode } from 'react';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { useOwnOf } from '../../evaluation/own';
import { useDesignValue } from '../../fields/design-fields';
import { ArtworkAt, type ArtworkFieldsAt } from '../../steps/artwork-at';
import { Button } from '../../ui/button';
import { areaLabel, newArea, without } from './area-edits';
import { AreaPlace } from './panel-artwork';
import { PhotoField } from './photo-field';

const none: NonNullable<EdgeLitAssembly['areas']> = [];

/** Several areas of one sheet: which of them the step shows, one more, one less. */
export const ArtworkAreas = ({ children }: { readonly children: ReactNode }) => {
  const at = useFields<EdgeLitAssembly>();
  const own = useOwnOf<PanelResults>('edge-lit');
  const artwork = useDesignValue(at.artwork);
  const more = useDesignValue(at.areas) ?? none;
  const [chosen, choose] = useState(0);
  const place = Math.min(chosen, more.length);
  if (artwork === undefined) return null;
  const areas = [artwork, ...more];
  const fields = (place === 0 ? at.artwork : at.areas.at(place - 1)) as ArtworkFieldsAt;
  const add = (): void => {
    const [problem] = changeDesign([set(at.areas, [...more, newArea(artwork, own)])]);
    if (problem === undefined) choose(more.length + 1);
  };
  return (
    <AreaPlace.Provider value={place}>
      <div role="group" aria-label="Worked areas" className="mb-2 flex flex-wrap items-center gap-1.5">
        {areas.length > 1 &&
          areas.map((area, each) => (
            <Button
              key={each}
              className="aria-pressed:bg-ink aria-pressed:text-paper"
              aria-pressed={each === place}
              onClick={() => choose(each)}
            >
              {each + 1} {areaLabel(area)}
            </Button>
          ))}
        {more.length < mostAreas && <Button onClick={add}>Another area …</Button>}
        {place > 0 && (
          <Button onClick={() => void changeDesign([set(at.areas, without(more, place - 1))])}>Take it away</Button>
        )}
      </div>
      <ArtworkAt.Provider
        value={{
          fields,
          size: own?.areas[place]?.lettering.bounds ?? null,
          weights: own?.areas[place]?.lettering.weights,
          ...(place === 0 ? {} : { says: 'This area says' }),
          stepId: place === 0 ? 'lettering' : `lettering-${place + 1}`,
          ...(areas[place]?.photo ? { source: <PhotoField /> } : { besides: <PhotoField /> }),
        }}
      >
        {children}
      </ArtworkAt.Provider>
    </AreaPlace.Provider>
  );
};
