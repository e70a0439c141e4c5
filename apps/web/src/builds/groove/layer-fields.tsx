import { set, shareSupply, type GrooveAssembly, type GrooveResults, type Strip } from '@vitrum/core';
import { useId } from 'react';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { useDesignValue } from '../../fields/design-fields';
import { ColourInput } from '../../fields/colour-field';
import { FieldRow } from '../../fields/field-row';
import { aboutStrip } from '../../fields/material-facts';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { Choice } from '../../ui/choice';

type LayerStrips = NonNullable<GrooveAssembly['light']['layers']>;

const asTheRest = 'as the rest';
/** What a layer that mixes is set to at first: told from any white. */
const firstColour = '#ff3020';

const withStrip = (layers: LayerStrips, layer: string, strip: Strip | undefined): LayerStrips => {
  const others = layers.filter((each) => each.layer !== layer);
  if (strip === undefined) return others;
  const now = layers.find((each) => each.layer === layer);
  const colour = strip.colour === 'white' ? {} : { colour: now?.colour ?? firstColour };
  return [...others, { layer, stripId: strip.id, ...colour }];
};

const LayerField = ({
  layer,
  layers,
  strips,
}: {
  readonly layer: string;
  readonly layers: LayerStrips;
  readonly strips: readonly Strip[];
}) => {
  const id = useId();
  const at = useFields<GrooveAssembly>().light.layers;
  const index = layers.findIndex((each) => each.layer === layer);
  const own = layers[index];
  const mixes = own !== undefined && strips.some(({ id: each, colour }) => each === own.stripId && colour !== 'white');
  return (
    <>
      <FieldRow id={id} label={layer === '' ? 'Lines in no layer' : `Layer ${layer}`} below>
        <Choice
          id={id}
          className="w-full"
          value={own?.stripId ?? asTheRest}
          options={[{ value: asTheRest, label: 'The same strip as the rest' }, ...choicesOf(strips, aboutStrip)]}
          onChoose={(chosen) =>
            void changeDesign([
              set(
                at,
                withStrip(
                  layers,
                  layer,
                  strips.find((strip) => strip.id === chosen),
                ),
              ),
            ])
          }
        />
      </FieldRow>
      {mixes && own.colour !== undefined && <ColourInput label={`Colour of ${layer}`} field={at.at(index).colour} />}
    </>
  );
};

/** Strip and colour of each layer of the lines, where there are several. */
export const LayerFields = ({ own }: { readonly own: GrooveResults }) => {
  const layers = useDesignValue(useFields<GrooveAssembly>().light.layers) ?? [];
  const { strips } = useCatalogue();
  const names = [...new Set([...own.geometry.lines.map(({ layer }) => layer), ...layers.map(({ layer }) => layer)])];
  if (names.length < 2 && layers.length === 0) return null;
  const { strip } = own.materials;
  const fits = strips.filter((each) => each.form !== 'modules' && shareSupply(each, strip));
  return (
    <section aria-label="Strip by layer" className="mt-3">
      <h3 className="font-bold">Strip by layer</h3>
      <p className="text-[13px] text-soft">
        Lines of a layer may have strip and colour of their own: {strip.voltageV} V, as the rest has.
      </p>
      {names.sort().map((layer) => (
        <LayerField key={layer} layer={layer} layers={layers} strips={fits} />
      ))}
    </section>
  );
};
