import type { GrooveAssembly, GrooveResults } from '@vitrum/core';
import type { ReactNode } from 'react';
import { useFields } from '../../document/selection';
import { useOwnOf } from '../../evaluation/own';
import { ChoiceField, LengthField, NumberField, useDesignValue } from '../../fields/design-fields';
import { ArtworkAt } from '../../steps/artwork-at';
import { useLength } from '../../view/use-length';
import { DrawnLines } from './drawn-lines';

/** Where the lines of light come from, above text and drawing; those that are drawn take their place. */
export const ArtworkLines = ({ children }: { readonly children: ReactNode }) => {
  const at = useFields<GrooveAssembly>();
  const own = useOwnOf<GrooveResults>('groove');
  const from = useDesignValue(at.lines.from);
  const kind = useDesignValue(at.carrier.kind);
  const hasDrawn = (useDesignValue(at.lines.drawn) ?? null) !== null;
  const show = useLength();
  const total = own?.geometry.lines.reduce((sum, { lengthMm }) => sum + lengthMm, 0) ?? 0;
  return (
    <>
      <ChoiceField
        label="Lines run"
        field={at.lines.from}
        choices={[
          { value: 'middle', label: 'along the middle of strokes' },
          { value: 'outline', label: 'inside the outline' },
          ...(hasDrawn ? [{ value: 'drawn' as const, label: 'as they are drawn' }] : []),
        ]}
        hint={own === null ? undefined : `${own.geometry.lines.length} lines, ${show(total)}`}
      />
      {from === 'outline' && <LengthField label="In from the outline" field={at.lines.setbackMm} otherwise={10} />}
      <NumberField
        label="Lines scaled"
        field={at.lines.scale}
        otherwise={1}
        unit="%"
        scale={100}
        step={1}
        hint="all of them, about their middle"
      />
      <ArtworkAt.Provider
        value={{
          fields: at.artwork,
          size: own?.lettering.bounds ?? null,
          weights: own?.lettering.weights,
          stepId: 'lettering',
          ...(from === 'drawn' && kind !== 'letters' ? { source: <DrawnLines /> } : { besides: <DrawnLines /> }),
        }}
      >
        {children}
      </ArtworkAt.Provider>
    </>
  );
};
