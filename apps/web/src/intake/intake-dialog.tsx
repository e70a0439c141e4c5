import {
  asArtwork,
  formatLength,
  parseLength,
  usualIntake,
  type AnyAssembly,
  type DrawingFile,
  type IntakeOptions,
  type Point,
  type TakenDrawing,
} from '@vitrum/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { FieldRow, fieldLook } from '../fields/field-row';
import { Button } from '../ui/button';
import { SheetDialog } from '../ui/sheet-dialog';
import { useView } from '../view/view-store';
import { workers } from '../workers/clients';
import { DrawingPreview } from './drawing-preview';
import { askIntake, type Intake } from './ask-intake';
import { Slide } from '../ui/slide';
import { Tick } from '../ui/tick';

interface Work {
  readonly intake: Intake | null;
  /** Takes the drawing once more at its true size, so that its curves are followed there, and hands it over. */
  readonly finish: (scale: number) => void;
}

const useIntake = (file: DrawingFile, options: IntakeOptions, use: (drawing: TakenDrawing) => void): Work => {
  const [intake, setIntake] = useState<Intake | null>(null);
  const callOff = useRef<() => void>(() => undefined);
  useEffect(() => {
    const release = workers.intake.hold();
    return () => {
      callOff.current();
      release();
    };
  }, []);
  useEffect(() => {
    callOff.current = askIntake(workers.intake, file, options, setIntake);
  }, [file, options]);
  const finish = (scale: number): void => {
    const atSize = { ...options, scale, gapMm: options.gapMm * scale };
    callOff.current = askIntake(workers.intake, file, atSize, (next) =>
      next.drawing === null ? setIntake(next) : use(next.drawing),
    );
  };
  return { intake, finish };
};

const Lines = ({ title, lines }: { readonly title: string; readonly lines: readonly string[] }) =>
  lines.length === 0 ? null : (
    <section className="mt-2">
      <h3 className="font-bold">{title}</h3>
      <ul className="list-disc pl-5 text-[13px]">
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </section>
  );

interface WishFieldsProps {
  readonly file: DrawingFile;
  readonly layers: readonly string[];
  readonly options: IntakeOptions;
  readonly onWish: (options: IntakeOptions) => void;
}

const WishFields = ({ file, layers, options, onWish }: WishFieldsProps) => (
  <>
    {file.kind === 'picture' ? (
      <>
        <Slide
          label={`Ink is darker than ${options.threshold} of 255`}
          value={options.threshold}
          max={255}
          step={1}
          onChange={(threshold) => onWish({ ...options, threshold })}
        />
        <Slide
          label={`Smooth over ${options.smoothPx} pixels`}
          value={options.smoothPx}
          max={8}
          step={0.5}
          onChange={(smoothPx) => onWish({ ...options, smoothPx })}
        />
        <Tick on={options.inverted} onChange={(inverted) => onWish({ ...options, inverted })}>
          Light on a dark ground
        </Tick>
      </>
    ) : (
      <Slide
        label={`Gaps closed up to ${options.gapMm} mm`}
        value={options.gapMm}
        max={2}
        step={0.05}
        onChange={(gapMm) => onWish({ ...options, gapMm })}
      />
    )}
    {layers.length > 1 && (
      <fieldset className="mt-1">
        <legend className="font-bold">Layers that count</legend>
        {layers.map((layer) => {
          const on = options.layers === null || options.layers.includes(layer);
          return (
            <Tick
              key={layer}
              on={on}
              onChange={() => {
                const now = options.layers ?? layers;
                onWish({ ...options, layers: on ? now.filter((each) => each !== layer) : [...now, layer] });
              }}
            >
              {layer === '' ? '(no name)' : layer}
            </Tick>
          );
        })}
      </fieldset>
    )}
  </>
);

interface IntakeDialogProps {
  readonly file: DrawingFile;
  readonly onUse: (drawing: NonNullable<AnyAssembly['artwork']['drawing']>) => void;
  readonly onClose: () => void;
}

/** A drawing file laid open: what was read, what was put right, and how large it truly is. */
export const IntakeDialog = ({ file, onUse, onClose }: IntakeDialogProps) => {
  const unit = useView((view) => view.unit);
  const [options, setWish] = useState(usualIntake);
  const { intake, finish } = useIntake(file, options, (taken) => onUse(asArtwork(taken, file.name)));
  const [layers, setLayers] = useState<readonly string[]>([]);
  const [marks, setMarks] = useState<readonly Point[]>([]);
  const [truly, setTruly] = useState('');
  const drawing = intake?.drawing ?? null;
  // All layers stay on offer when some are left out.
  const known = drawing === null || options.layers !== null ? layers : drawing.layers;
  const drawn = useMemo(() => {
    const [a, b] = marks;
    return a === undefined || b === undefined ? (drawing?.widthMm ?? 0) : Math.hypot(a[0] - b[0], a[1] - b[1]);
  }, [marks, drawing]);
  const typed = truly.trim() === '' ? null : parseLength(truly, unit);
  const scale = typed?.ok === true && drawn > 0 ? typed.value / drawn : 1;
  const wrong =
    typed?.ok === false ? typed.problems[0]?.message : scale <= 1e-4 || scale >= 1e4 ? 'out of reach' : null;
  const show = (mm: number): string => formatLength(mm, unit);
  return (
    <SheetDialog open onClose={onClose} title={`Artwork from ${file.name}`} wide>
      {intake === null && <p role="status">Reading the drawing …</p>}
      {intake !== null && intake.problem !== null && (
        <p role="alert" className="mb-2 font-semibold text-signal">
          {intake.problem}. The design is as it was.
        </p>
      )}
      {drawing !== null && (
        <DrawingPreview
          drawing={drawing}
          marks={marks}
          onMark={(at) => setMarks((now) => (now.length === 2 ? [at] : [...now, at]))}
        />
      )}
      <div className="mt-3 grid gap-x-8 sm:grid-cols-2">
        <div>
          <WishFields
            file={file}
            layers={known}
            options={options}
            onWish={(next) => {
              setLayers(known);
              setWish(next);
            }}
          />
        </div>
        {drawing !== null && (
          <div>
            <p className="figure text-[13px]">
              {show(drawing.widthMm * scale)} × {show(drawing.heightMm * scale)}
            </p>
            <p className="mb-1 text-xs text-soft">
              {drawing.sizeStated
                ? 'The file states its size.'
                : 'The file does not state its size: check it by a length you know.'}{' '}
              Click both ends of a known length on the drawing, or take its width.
            </p>
            <FieldRow
              id="intake-true"
              label={`${marks.length === 2 ? 'The marked length' : 'Its width'}, ${show(drawn)}, is truly`}
              problem={wrong ?? null}
              below
            >
              <input
                id="intake-true"
                className={`${fieldLook} w-40`}
                placeholder={show(drawn)}
                value={truly}
                onChange={(event) => setTruly(event.target.value)}
              />
            </FieldRow>
          </div>
        )}
      </div>
      {drawing !== null && (
        <>
          <Lines title="Put right" lines={drawing.changes} />
          <Lines title="Mind" lines={drawing.notes} />
        </>
      )}
      <p className="mt-4 flex gap-2">
        <Button look="strong" disabled={drawing === null || wrong !== null} onClick={() => finish(scale)}>
          Use this drawing
        </Button>
        <Button onClick={onClose}>Leave it</Button>
      </p>
    </SheetDialog>
  );
};
