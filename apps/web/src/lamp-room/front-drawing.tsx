import { formatLength, type AssemblyEvaluation, type Evaluation, type Exposure, type Glare } from '@vitrum/core';
import { AssemblyTags } from '../assemblies/assembly-tags';
import { pageOf } from '../builds';
import { useParts } from '../view/use-parts';
import { useView } from '../view/view-store';
import { FixingsOverlay } from './fixings-overlay';
import { FindingMark, FrontShapes, LostMarks, SizesOverlay, SpotMarks } from './front-shapes';
import { turned, type FrontView } from './front-view';
import { MeasureLine, type Measuring } from './measure';
import { SliceLine } from './slice-line';
import { stripLabels } from './strip-labels';
import { StripOverlay } from './strip-overlay';
import { WiresOverlay } from './wires-overlay';

interface DrawingProps {
  readonly evaluation: Evaluation;
  readonly view: FrontView;
  /** Of each assembly, with its turn. */
  readonly views: readonly FrontView[];
}

/** The solid parts of the front. */
export const SignShapes = ({
  shown,
  view,
  views,
  ...seen
}: Pick<DrawingProps, 'view' | 'views'> & {
  readonly shown: readonly AssemblyEvaluation[];
  readonly lit: boolean;
  readonly exposure: Exposure;
  readonly glare: Glare | null;
}) =>
  shown.map((each, index) => (
    <g key={each.id} transform={turned(views[index] ?? view)}>
      <FrontShapes own={each} view={views[index] ?? view} {...seen} />
    </g>
  ));

/** What lies over each assembly, whichever is chosen. */
const AssemblyLayers = ({
  own,
  view,
  falseColour,
}: {
  readonly own: AssemblyEvaluation;
  readonly view: FrontView;
  readonly falseColour: boolean;
}) => {
  const overlays = useView((state) => state.overlays);
  const Always = pageOf(own).drawn.always;
  return (
    <g transform={turned(view)}>
      {overlays.includes('strip') && <StripOverlay own={own} view={view} />}
      {Always !== undefined && <Always own={own} view={view} />}
      {falseColour && <SpotMarks own={own} view={view} />}
      {overlays.includes('findings') && <LostMarks own={own} view={view} />}
    </g>
  );
};

/** Where findings lie: the one that is pointed at, and those that stop or disappoint while findings are shown. */
const FindingPlaces = ({ evaluation, view, views }: DrawingProps) => {
  const { overlays, shownFinding } = useParts(useView, 'overlays', 'shownFinding');
  return evaluation.findings.map(({ id, where, severity, assembly }) => {
    const placeView = assembly === null ? view : views[assembly]!;
    const isShown = id === shownFinding || (severity !== 'note' && overlays.includes('findings'));
    return (
      where?.view === 'front' &&
      isShown && (
        <g key={id} transform={turned(placeView)}>
          <FindingMark view={placeView} rect={where.rect} strong={id === shownFinding} />
        </g>
      )
    );
  });
};

/** The slice line and the handles of the chosen assembly. */
const ChosenLayers = ({ own, view }: { readonly own: AssemblyEvaluation; readonly view: FrontView }) => {
  const shown = useView((state) => state.overlays);
  const { overlays, drawn } = pageOf(own);
  return (
    <g transform={turned(view)}>
      {shown.includes('slice') && <SliceLine own={own} view={view} />}
      {overlays
        .filter((overlay) => shown.includes(overlay))
        .map((overlay) => {
          const Drawn = drawn[overlay];
          return Drawn === undefined ? null : <Drawn key={overlay} own={own} view={view} />;
        })}
    </g>
  );
};

interface OverlaysProps extends DrawingProps {
  readonly chosen: number;
  readonly ink: string;
  readonly falseColour: boolean;
  readonly measuring: Measuring | null;
}

/** All that is drawn over the sign, in the order in which it lies. */
export const FrontOverlays = ({ evaluation, view, views, chosen, ink, falseColour, measuring }: OverlaysProps) => {
  const { overlays, unit } = useParts(useView, 'overlays', 'unit');
  const { assemblies } = evaluation;
  const show = (mm: number): string => formatLength(mm, unit);
  const numbered = overlays.includes('strip')
    ? assemblies.flatMap((own, index) => stripLabels(own, views[index] ?? view))
    : [];
  return (
    <>
      {assemblies.map((each, index) => (
        <AssemblyLayers key={each.id} own={each} view={views[index]!} falseColour={falseColour} />
      ))}
      {overlays.includes('wires') && <WiresOverlay evaluation={evaluation} view={view} taken={numbered} />}
      {overlays.includes('sizes') && <SizesOverlay bounds={evaluation.bounds} view={view} ink={ink} show={show} />}
      {overlays.includes('fixings') &&
        assemblies.map((each) => <FixingsOverlay key={each.id} own={each} view={view} />)}
      <FindingPlaces evaluation={evaluation} view={view} views={views} />
      {measuring !== null && <MeasureLine points={measuring} view={view} show={show} />}
      <AssemblyTags assemblies={assemblies} chosen={chosen} view={view} ink={ink} />
      <ChosenLayers own={assemblies[chosen]!} view={views[chosen]!} />
    </>
  );
};
