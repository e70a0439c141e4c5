import { buildOf, hungSection, wiringDiagram, type AssemblyEvaluation, type Evaluation, type Step } from '@vitrum/core';
import { useMemo, useRef } from 'react';
import { CleatDrawing } from '../steps/hang/cleat-drawing';
import { useSize } from '../job/use-size';
import { sliceDrawing } from '../slice/slice-drawing';
import { SectionDepth, SectionShapes } from '../slice/section-shapes';
import { PictureCanvas } from '../tryouts/picture-canvas';
import { useSignPicture } from '../tryouts/use-sign-picture';
import { useView } from '../view/view-store';
import { BackView } from './back-view';
import { FrontBoard } from './front-board';
import { SetUpDrawing } from './set-ups/set-up-drawing';
import { SheetDrawing } from './sheet-drawing';
import { CircuitDrawing } from './circuit-drawing';

interface EvaluationProps {
  readonly evaluation: Evaluation;
}

/** The sheets that hold the parts of a step; every sheet where it names none. */
const Sheets = ({ evaluation, parts }: EvaluationProps & { readonly parts: readonly string[] | undefined }) => {
  const isOwn = (label: string): boolean =>
    parts === undefined || parts.some((name) => label === name || label.startsWith(`${name} `));
  const drawn = evaluation.packing.sheets.flatMap((sheets) =>
    Array.from({ length: sheets.sheets }, (_, sheet) => ({ sheets, sheet })).filter(({ sheet }) =>
      sheets.placed.some((piece) => piece.sheet === sheet && isOwn(piece.label)),
    ),
  );
  return (
    <div className="flex h-full gap-4 overflow-auto bg-sheet p-2 max-sm:flex-col">
      {drawn.length === 0 && <p className="text-soft">Nothing here is cut from sheet.</p>}
      {drawn.map(({ sheets, sheet }) => (
        <SheetDrawing
          key={`${sheets.materialId}-${sheet}`}
          sheets={sheets}
          sheet={sheet}
          outstanding={parts === undefined ? null : isOwn}
        />
      ))}
    </div>
  );
};

/** The section of an assembly with its layers named. */
const SectionDrawing = ({ own }: { readonly own: AssemblyEvaluation }) => {
  const holder = useRef<HTMLDivElement>(null);
  const size = useSize(holder);
  const section = useMemo(
    () => hungSection(buildOf(own).sectionAt(own, own.section.atXMm), own.hang, own.placing),
    [own],
  );
  // No profile of luminance stands over this one.
  const drawing = { ...sliceDrawing(section, { ...size, height: size.height + 56 }, null), faceY: 20 };
  return (
    <div className="flex h-full gap-3 bg-sheet p-2 max-sm:flex-col">
      <div ref={holder} className="min-h-[150px] min-w-0 flex-1">
        {size.width > 0 && (
          <svg className="h-full w-full" aria-hidden>
            <SectionShapes drawing={drawing} />
            <SectionDepth drawing={drawing} own={own} />
          </svg>
        )}
      </div>
      <dl className="w-60 shrink-0 self-center text-[13px] max-sm:w-full">
        {section.layers.map(({ name, detail }) => (
          <div key={name} className="flex gap-2 border-b border-line py-0.5 last:border-b-0">
            <dt className="w-14 shrink-0 font-bold">{name}</dt>
            <dd className="text-soft">{detail}</dd>
          </div>
        ))}
      </dl>
    </div>
  );
};

/** The sign from behind, or its circuit from the socket on, to be moved sideways where it is wide. */
const Circuit = ({ evaluation, chain }: EvaluationProps & { readonly chain: number | null }) => {
  const holder = useRef<HTMLDivElement>(null);
  const { height } = useSize(holder);
  const diagram = useMemo(() => wiringDiagram(evaluation), [evaluation]);
  return (
    <div ref={holder} className="h-full overflow-auto bg-sheet p-2">
      {chain === null ? (
        <CircuitDrawing diagram={diagram} />
      ) : (
        height > 0 && (
          <BackView evaluation={evaluation} chain={chain > 0 ? chain : null} tall={Math.max(140, height - 24)} />
        )
      )}
    </div>
  );
};

const litPx = 800;

const Lit = ({ evaluation }: EvaluationProps) => {
  const ambient = useView((state) => state.ambient);
  const picture = useSignPicture(evaluation, ambient, litPx);
  if (picture === null) return null;
  const [red, green, blue] = picture.data;
  return (
    <div className="flex h-full items-center justify-center" style={{ background: `rgb(${red} ${green} ${blue})` }}>
      <PictureCanvas picture={picture} label="The sign, lit" className="max-h-full max-w-full" />
    </div>
  );
};

/** The cleat that an assembly hangs on, in section. */
const CleatOf = ({ own: { hang } }: { readonly own: AssemblyEvaluation }) =>
  hang === null || hang.cleat === null ? null : (
    <div className="flex h-full items-center justify-center bg-sheet p-2 [&>svg]:m-0 [&>svg]:h-full [&>svg]:w-auto [&>svg]:max-w-full">
      <CleatDrawing hang={hang} cleat={hang.cleat} />
    </div>
  );

const everyChain = 0;

const Drawn = ({ evaluation, step: { shows, assembly } }: StepDrawingProps) => {
  switch (shows.view) {
    case 'sheets':
      return <Sheets evaluation={evaluation} parts={shows.parts} />;
    case 'set-up':
      return shows.setUp === undefined ? null : <SetUpDrawing setUp={shows.setUp} />;
    case 'section':
      return <SectionDrawing own={evaluation.assemblies[assembly]!} />;
    case 'wires':
      return <Circuit evaluation={evaluation} chain={shows.chain ?? everyChain} />;
    case 'circuit':
      return <Circuit evaluation={evaluation} chain={null} />;
    case 'lit':
      return <Lit evaluation={evaluation} />;
    case 'cleat':
      return <CleatOf own={evaluation.assemblies[assembly]!} />;
    case 'strip':
    case 'letters':
    case 'posts':
    case 'hang':
    case 'sizes':
      return <FrontBoard evaluation={evaluation} view={shows.view} />;
  }
};

interface StepDrawingProps {
  readonly evaluation: Evaluation;
  readonly step: Step;
}

/** What one step of the build is about, drawn. */
export const StepDrawing = (props: StepDrawingProps) => (
  <div
    role="group"
    aria-label={`Drawing: ${props.step.title}`}
    className="h-full w-full"
    data-view={props.step.shows.view}
  >
    <Drawn {...props} />
  </div>
);
