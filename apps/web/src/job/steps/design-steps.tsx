import { fontListings, type BuildName } from '@vitrum/core';
import { ChoiceField, LengthField, NumberField, WordsField, useDesignValue } from '../../fields/design-fields';
import { useBoxEvaluation, useEvaluation } from '../../evaluation/evaluation-store';
import { useLength } from '../../view/use-length';
import { DrawingField, OwnFontField } from './artwork-source';
import { BlockField } from './block-field';
import { VentsField } from './vents-field';
import { choicesOf, useCatalogue } from '../catalogue-context';
import { SplitFields } from './letters/split-fields';

const at = 'assemblies.0';

const styles = {
  grotesque: 'plain',
  condensed: 'narrow',
  slab: 'slab',
  script: 'script',
  rounded: 'round',
  stencil: 'stencil',
} as const;

const TextFields = () => {
  const evaluation = useEvaluation((state) => state.evaluation);
  const own = useDesignValue(`${at}.artwork.ownFont`);
  const show = useLength();
  const bounds = evaluation?.lettering.bounds ?? null;
  return (
    <>
      <WordsField label="The sign says" path="brief.text" />
      {!own && (
        <ChoiceField
          label="Letters in"
          wide
          path={`${at}.artwork.fontId`}
          choices={fontListings.map(({ id, name, style }) => ({ value: id, label: `${name} (${styles[style]})` }))}
        />
      )}
      <OwnFontField />
      <LengthField
        label="Cap height"
        path={`${at}.artwork.capHeightMm`}
        hint={bounds === null ? 'no letters yet' : `the lettering is ${show(bounds.width)} × ${show(bounds.height)}`}
      />
      <NumberField
        label="Room between letters"
        path={`${at}.artwork.tracking`}
        otherwise={0}
        unit="%"
        scale={100}
        step={2}
        hint="of the cap height"
      />
      <NumberField label="Line to line" path={`${at}.artwork.lineSpacing`} unit="cap heights" step={0.1} />
      <ChoiceField
        label="Lines"
        path={`${at}.artwork.align`}
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
  const evaluation = useEvaluation((state) => state.evaluation);
  if (evaluation === null) return undefined;
  const { workability, materials } = evaluation;
  const corners = workability.lost.filter(({ kind }) => kind === 'corner').length;
  const parts = `${workability.pieces} piece${workability.pieces === 1 ? '' : 's'}, ${workability.counters} counter${workability.counters === 1 ? '' : 's'}`;
  return materials.tool.kind === 'bit' && corners > 0 ? `${parts}; ${corners} inside corners come out round` : parts;
};

/** Film on a face: what light goes through, which film, and where it stands. */
const FilmFields = () => {
  const { films } = useCatalogue();
  return (
    <>
      <ChoiceField
        label="Light through"
        wide
        path={`${at}.artwork.mode`}
        choices={[
          { value: 'opaque-letters', label: 'the ground, letters dark' },
          { value: 'lit-letters', label: 'the letters, mask dark' },
          { value: 'coloured-letters', label: 'both, letters coloured' },
        ]}
      />
      <ChoiceField label="Film" wide path={`${at}.artwork.filmId`} choices={choicesOf(films)} />
      <LengthField label="Shift right" path={`${at}.artwork.offsetXMm`} />
      <LengthField label="Shift up" path={`${at}.artwork.offsetYMm`} />
    </>
  );
};

/** How a build speaks of its tool and of work from behind. */
const cutting = {
  lightbox: { tool: 'film-knife', front: 'from the front', behind: 'from behind, cut mirrored' },
  halo: { tool: 'bit-3', front: 'front up', behind: 'back up, drawn mirrored' },
  'face-lit': { tool: 'bit-3', front: 'front up', behind: 'back up, drawn mirrored' },
} as const satisfies Readonly<Record<BuildName, object>>;

export const ArtworkStep = () => {
  const { tools } = useCatalogue();
  const drawing = useDesignValue(`${at}.artwork.drawing`);
  const build = useDesignValue(`${at}.build`) as BuildName;
  const toolHint = useToolHint();
  const toolCaution = useEvaluation(
    (state) => state.evaluation?.buildList.steps.find(({ id }) => id === 'lettering')?.caution ?? null,
  );
  const words = cutting[build];
  return (
    <>
      {!drawing && <TextFields />}
      <DrawingField />
      <div className="mt-2 border-t border-line pt-2">
        <ChoiceField
          label="Cut with"
          path={`${at}.artwork.toolId`}
          otherwise={words.tool}
          choices={choicesOf(tools)}
          hint={toolHint}
        />
        {toolCaution !== null && <p className="my-1 border-l-4 border-caution pl-2 text-[13px]">{toolCaution}</p>}
        <ChoiceField
          label="Worked"
          path={`${at}.artwork.mirrored`}
          otherwise="false"
          toStored={(choice) => choice === 'true'}
          choices={[
            { value: 'false', label: words.front },
            { value: 'true', label: words.behind },
          ]}
        />
        {build === 'lightbox' ? <FilmFields /> : <SplitFields />}
      </div>
    </>
  );
};

export const CaseStep = () => {
  const { boards, linings } = useCatalogue();
  const evaluation = useBoxEvaluation();
  const show = useLength();
  const sizeBy = useDesignValue(`${at}.case.sizeBy`);
  const retention = useDesignValue(`${at}.case.retention`);
  const geometry = evaluation?.geometry;
  const other =
    geometry === undefined
      ? undefined
      : sizeBy === 'outside'
        ? `face ${show(geometry.face.widthMm)} × ${show(geometry.face.heightMm)}`
        : `outside ${show(geometry.outside.widthMm)} × ${show(geometry.outside.heightMm)}`;
  const runs = evaluation?.runs;
  const throwHint =
    runs === undefined
      ? undefined
      : runs.rowPitchMm === null
        ? `LED to face ${show(runs.throwMm)}`
        : `LED to face ${show(runs.throwMm)}, ${(runs.throwMm / runs.rowPitchMm).toFixed(2)} of the row pitch`;
  return (
    <>
      <LengthField label="Depth inside" path={`${at}.case.depthInsideMm`} hint={throwHint} />
      <ChoiceField
        label="Sizes are of"
        path={`${at}.case.sizeBy`}
        choices={[
          { value: 'outside', label: 'the outside' },
          { value: 'face', label: 'the face sheet' },
        ]}
      />
      <LengthField label={sizeBy === 'face' ? 'Face width' : 'Outside width'} path={`${at}.case.widthMm`} />
      <LengthField
        label={sizeBy === 'face' ? 'Face height' : 'Outside height'}
        path={`${at}.case.heightMm`}
        hint={other}
      />
      <ChoiceField
        label="Returns"
        path={`${at}.case.returnBoardId`}
        choices={choicesOf(boards.filter(({ uses }) => uses.includes('return')))}
      />
      <ChoiceField
        label="Back"
        path={`${at}.case.backBoardId`}
        choices={choicesOf(boards.filter(({ uses }) => uses.includes('back')))}
      />
      <ChoiceField
        label="Corners"
        path={`${at}.case.cornerJoint`}
        choices={[
          { value: 'butt', label: 'butted, screwed' },
          { value: 'mitre', label: 'mitred, glued' },
        ]}
      />
      <ChoiceField
        label="Face held"
        path={`${at}.case.retention`}
        choices={[
          { value: 'rabbet', label: 'in a rabbet' },
          { value: 'groove', label: 'in a groove' },
          { value: 'laid-on', label: 'laid on the front' },
        ]}
      />
      <LengthField label="Seat depth" path={`${at}.case.seatMm`} hint="how far face and back reach into the returns" />
      {retention === 'groove' && <LengthField label="Lip in front" path={`${at}.case.lipMm`} />}
      <LengthField label="Play a side" path={`${at}.case.playMm`} />
      <ChoiceField
        label="Lining"
        path={`${at}.case.liningId`}
        choices={choicesOf(linings)}
        hint={
          evaluation === null
            ? undefined
            : `gives back ${Math.round(evaluation.materials.lining.reflectance * 100)} % of what falls on it`
        }
      />
      <BlockField />
      <VentsField />
    </>
  );
};
