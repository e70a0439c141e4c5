import {
  addAssembly,
  allBuilds,
  assemblyLabel,
  buildOf,
  copyAssembly,
  mostAssemblies,
  pathOf,
  removeAssembly,
  type AssemblyAdded,
  type Design,
} from '@vitrum/core';
import { Copy, Trash2 } from 'lucide-react';
import { changeDesign, useDocument } from '../document/document-store';
import { selectAssembly, useChosenIndex, useFields } from '../document/selection';
import { useEvaluation } from '../evaluation/evaluation-store';
import { ChoiceField, LengthField, NumberField } from '../fields/design-fields';
import { Button } from '../ui/button';
import { Choice } from '../ui/choice';
import { LabelledChoice } from '../ui/labelled-choice';
import { titleOf } from './title-of';

const titles = ({ assemblies }: Design): readonly { readonly id: string; readonly title: string }[] =>
  assemblies.map(({ id, build }, index) => ({
    id,
    title: titleOf({ label: assemblyLabel(index, assemblies.length), build }),
  }));

const take = ({ id, change }: AssemblyAdded): void => {
  if (changeDesign(change).length === 0) selectAssembly(id);
};

/** Below what there is, so that nothing is covered (mm). */
const belowMm = 120;

/** Adds an assembly of the build that is chosen. */
const AddChoice = ({ design }: { readonly design: Design }) => {
  const bounds = useEvaluation((state) => state.evaluation?.bounds);
  const yMm = bounds === undefined ? 0 : Math.round(bounds.y - belowMm);
  return (
    <Choice
      label="Add an assembly"
      className="min-w-0 flex-1"
      value=""
      unchosen="Add to this sign …"
      disabled={design.assemblies.length >= mostAssemblies}
      options={allBuilds.map(({ name, words }) => ({ value: name, label: words.name }))}
      onChoose={(build) => take(addAssembly(design, build, { on: null, xMm: 0, yMm, turnDeg: 0 }))}
    />
  );
};

/** Where the chosen assembly stands: on what, how far from its middle, and how it is turned. */
const PlaceFields = ({ design, index }: { readonly design: Design; readonly index: number }) => {
  const { place } = useFields();
  const below = titles(design).slice(0, index);
  return (
    <>
      <ChoiceField
        key={pathOf(place.on)}
        label="Stands on"
        field={place.on}
        otherwise="wall"
        toStored={(choice) => (choice === 'wall' ? null : choice)}
        choices={[
          { value: 'wall', label: 'the wall' },
          ...below.map(({ id, title }) => ({ value: id, label: `the front of ${title}` })),
        ]}
      />
      <LengthField label="Middle, right" field={place.xMm} />
      <LengthField label="Middle, up" field={place.yMm} hint="of the middle of what it stands on" />
      <NumberField label="Turned" field={place.turnDeg} unit="°" step={5} hint="anticlockwise" />
    </>
  );
};

/** Which assembly of the sign the step shows; assemblies are added, copied, moved and taken away here. */
export const AssemblyBar = () => {
  const design = useDocument((state) => state.design);
  const index = useChosenIndex();
  const chosen = design?.assemblies[index];
  if (design === null || chosen === undefined) return null;
  const several = design.assemblies.length > 1;
  return (
    <section aria-label="Assemblies" className="mb-2 border-b border-line pb-2">
      {several && (
        <LabelledChoice
          label={`Assembly, one of ${design.assemblies.length} (key A for the next)`}
          value={chosen.id}
          onChoose={selectAssembly}
          options={titles(design).map(({ id, title }) => ({ value: id, label: title }))}
        />
      )}
      <div className="mt-1 flex gap-1.5">
        <AddChoice design={design} />
        <Button
          aria-label={`Copy ${buildOf(chosen).words.name.toLowerCase()}`}
          disabled={design.assemblies.length >= mostAssemblies}
          onClick={() => take(copyAssembly(design, index))}
        >
          <Copy size={14} aria-hidden /> Copy
        </Button>
        {several && (
          <Button aria-label="Take this assembly away" onClick={() => void changeDesign(removeAssembly(design, index))}>
            <Trash2 size={14} aria-hidden />
          </Button>
        )}
      </div>
      {several && <PlaceFields design={design} index={index} />}
      {several && (
        <p className="mt-1 text-xs text-soft">
          Each is lit as if it were alone: light of one assembly on another is left out.
        </p>
      )}
    </section>
  );
};
