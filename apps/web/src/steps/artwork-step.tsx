import { fontListings, inDesign, type Tool } from '@vitrum/core';
import { pageOf } from '../builds';
import { useDocument } from '../document/document-store';
import { useFields } from '../document/selection';
import { useOwn } from '../evaluation/own';
import { ChoiceField, LengthField, NumberField, WordsField, useDesignValue } from '../fields/design-fields';
import { useEvaluation } from '../evaluation/evaluation-store';
import { useLength } from '../view/use-length';
import { useArtworkPlace } from './artwork-at';
import { DrawingField, OwnFontField } from './artwork-source';
import { choicesOf, useCatalogue } from '../job/catalogue-context';

const styles = {
  grotesque: 'plain',
  condensed: 'narrow',
  slab: 'slab',
  script: 'script',
  rounded: 'round',
  stencil: 'stencil',
} as const;

const TextFields = () => {
  const { fields: at, size, says, weights } = useArtworkPlace();
  const several = useDocument(({ design }) => (design?.assemblies.length ?? 1) > 1);
  const saysItself = useDesignValue(at.text) !== undefined;
  const own = useDesignValue(at.ownFont);
  const show = useLength();
  return (
    <>
      <WordsField
        label={says ?? (several ? 'This part says' : 'The sign says')}
        field={saysItself ? at.text : inDesign.brief.text}
        hint={several && !saysItself ? 'as the brief has it' : undefined}
      />
      {!own && (
        <ChoiceField
          label="Letters in"
          wide
          field={at.fontId}
          choices={fontListings.map(({ id, name, style, writes }) => ({
            value: id,
            label: `${name} (${writes ?? styles[style]})`,
          }))}
        />
      )}
      <OwnFontField />
      {weights !== undefined && (
        <NumberField
          label="How heavy"
          field={at.weight}
          otherwise={weights.usual}
          step={50}
          hint={`${weights.least} to ${weights.most}; 400 is regular, 700 bold`}
        />
      )}
      <LengthField
        label="Cap height"
        field={at.capHeightMm}
        hint={size === null ? 'no letters yet' : `the lettering is ${show(size.width)} × ${show(size.height)}`}
      />
      <NumberField
        label="Room between letters"
        field={at.tracking}
        otherwise={0}
        unit="%"
        scale={100}
        step={2}
        hint="of the cap height"
      />
      <NumberField label="Line to line" field={at.lineSpacing} unit="cap heights" step={0.1} />
      <ChoiceField
        label="Lines"
        field={at.align}
        choices={[
          { value: 'left', label: 'flush left' },
          { value: 'centre', label: 'centred' },
          { value: 'right', label: 'flush right' },
        ]}
      />
    </>
  );
};

/** What the chosen tool makes of the artwork. */
const useToolHint = (): string | undefined => {
  const own = useOwn();
  if (own === null) return undefined;
  const { workability, materials } = own;
  const corners = workability.lost.filter(({ kind }) => kind === 'corner').length;
  const parts = `${workability.parts} part${workability.parts === 1 ? '' : 's'}, ${workability.counters} counter${workability.counters === 1 ? '' : 's'}`;
  return materials.tool.kind === 'bit' && corners > 0 ? `${parts}; ${corners} inside corners come out round` : parts;
};

/** Tools that cut through, not those that work faces alone. */
const cutsThrough = ({ engraves }: Tool): boolean => engraves === undefined;

/** One piece of artwork: what it shows, what that is cut with, and what the build asks of it. */
const ArtworkPanel = () => {
  const { fields: at, stepId, source, besides } = useArtworkPlace();
  const { tools } = useCatalogue();
  const drawing = useDesignValue(at.drawing);
  const build = useDesignValue(useFields().build);
  const own = useOwn();
  const toolHint = useToolHint();
  const toolCaution = useEvaluation(
    (state) =>
      state.evaluation?.buildList.steps.find(({ id }) => id === (own?.label ? `${own.id}-${stepId}` : stepId))
        ?.caution ?? null,
  );
  if (build === undefined) return null;
  const { cutting: words, ArtworkFields } = pageOf({ build });
  return (
    <>
      {source ?? (
        <>
          {!drawing && <TextFields />}
          <DrawingField />
          {!drawing && besides}
        </>
      )}
      <div className="mt-2 border-t border-line pt-2">
        <ChoiceField
          label={words.label ?? 'Cut with'}
          field={at.toolId}
          otherwise={words.tool}
          choices={choicesOf(tools.filter(words.takes ?? cutsThrough))}
          hint={toolHint}
        />
        {toolCaution !== null && <p className="my-1 border-l-4 border-caution pl-2 text-[13px]">{toolCaution}</p>}
        {words.behind !== null && (
          <ChoiceField
            label="Worked"
            field={at.mirrored}
            otherwise="false"
            toStored={(choice) => choice === 'true'}
            choices={[
              { value: 'false', label: words.front },
              { value: 'true', label: words.behind },
            ]}
          />
        )}
        <ArtworkFields />
      </div>
    </>
  );
};

/** What it says or shows, and what that is cut with; piece by piece where the build has several. */
export const ArtworkStep = () => {
  const build = useDesignValue(useFields().build);
  if (build === undefined) return null;
  const { ArtworkAreas } = pageOf({ build });
  return ArtworkAreas === undefined ? (
    <ArtworkPanel />
  ) : (
    <ArtworkAreas>
      <ArtworkPanel />
    </ArtworkAreas>
  );
};
