// The form’s decorators want it before they run.
import 'reflect-metadata';
import { NewJobForm } from '@vitrum/contract';
import {
  allBuilds,
  applyChange,
  buildOf,
  fieldsOf,
  formatLength,
  jobName,
  newDesign,
  parseLength,
  set as put,
  sizeProblems,
  usualSizes,
  type AnyAssembly,
  type Design,
  type SizeQuestion,
} from '@vitrum/core';
import { validate } from 'class-validator';
import { Fragment, useEffect, useState, type FormEvent } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { createJob, getCatalogue } from '../api/jobs';
import { chooseDesign } from '../solving/choose';
import { FieldRow, fieldLook } from '../fields/field-row';
import { TypedField } from '../fields/typed-field';
import { PageHeader } from '../pages/page-header';
import { Button } from '../ui/button';
import { useView } from '../view/view-store';
import { BuildChoice } from './build-choice';
import { DrawingChoice, type OwnDrawing } from './drawing-choice';

type Problems = Readonly<Record<string, string>>;

/** What is wrong, by the field; a size by the name of its question. */
const check = async (form: NewJobForm): Promise<Problems> => {
  const errors = await validate(form);
  const fields = errors.map(
    ({ property, constraints }) => [property, Object.values(constraints ?? {})[0] ?? ''] as const,
  );
  return { ...Object.fromEntries<string>(fields), ...sizeProblems(buildOf(form).sizes, form.sizesMm) };
};

/** The form as it is opened, for the build that was asked for if there is such a one. */
const formFor = (build: string | null): NewJobForm =>
  Object.assign(
    new NewJobForm(),
    allBuilds.some(({ name }) => name === build)
      ? { build, sizesMm: usualSizes(buildOf({ build: build! }).sizes) }
      : {},
  );

/** A drawing takes the place of lettering. */
const withDrawing = (design: Design, drawing: OwnDrawing | null): Design => {
  if (drawing === null) return design;
  const change = design.assemblies.map((_, index) =>
    put(fieldsOf<AnyAssembly>(`assemblies.${index}`).artwork.drawing, drawing),
  );
  const drawn = applyChange(design, change);
  if (!drawn.ok) throw new Error(drawn.problems[0]?.message ?? 'the drawing cannot be used');
  return drawn.value;
};

/** A name without its ending. */
const bare = (fileName: string): string => fileName.replace(/\.[^.]*$/, '').slice(0, 80);

/** A build and three questions; the sign is lit as soon as they are answered. */
export const NewJobPage = () => {
  const navigate = useNavigate();
  const unit = useView((view) => view.unit);
  const [asked] = useSearchParams();
  const [form, setForm] = useState(() => formFor(asked.get('build')));
  const [drawing, setDrawing] = useState<OwnDrawing | null>(null);
  const [problems, setProblems] = useState<Problems>({});
  /** Fields whose text is no length; the form waits for them. */
  const [mistyped, setMistyped] = useState<Readonly<Record<string, boolean>>>({});
  /** Calls the choosing off while it goes on. */
  const [choosing, setChoosing] = useState<AbortController | null>(null);
  const busy = choosing !== null;
  useEffect(() => {
    document.title = 'New job · Vitrum';
  }, []);
  const set = (part: Partial<NewJobForm>): void => {
    setForm((now) => Object.assign(new NewJobForm(), now, part));
    // What was wrong with a field is forgotten as soon as it is changed.
    setProblems((now) => Object.fromEntries(Object.entries(now).filter(([key]) => !(key in part))));
  };
  const { sizes, words } = buildOf(form);
  const lengthField = (key: string, label: string, mm: number, save: (mm: number) => void, hint?: string) => (
    <Fragment key={`${form.build} ${key}`}>
      <TypedField
        label={label}
        hint={hint}
        stored={formatLength(mm, unit)}
        save={(text) => {
          const parsed = parseLength(text, unit);
          setMistyped((now) => ({ ...now, [key]: !parsed.ok }));
          if (!parsed.ok) return parsed.problems[0]?.message ?? 'not a length';
          save(parsed.value);
          return null;
        }}
      />
      {problems[key] !== undefined && (
        <p role="alert" className="text-xs font-semibold text-signal">
          {problems[key]}
        </p>
      )}
    </Fragment>
  );
  const sizeField = ({ id, label, hint }: SizeQuestion) =>
    lengthField(
      id,
      label,
      form.sizesMm[id] ?? 0,
      (mm) => {
        set({ sizesMm: { ...form.sizesMm, [id]: mm } });
        setProblems(({ [id]: _, ...others }) => others);
      },
      hint,
    );
  const choose = (build: string): void => {
    set({ build, sizesMm: usualSizes(buildOf({ build }).sizes) });
    setMistyped({});
  };
  const submit = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    // What is drawn need not be said as well: the drawing’s name stands for it.
    const told = form.text.trim() === '' && drawing !== null ? bare(drawing.name) : form.text;
    const answers = Object.assign(new NewJobForm(), form, { text: told });
    const wrong = await check(answers);
    setProblems(wrong);
    if (Object.keys(wrong).length > 0 || Object.values(mistyped).some(Boolean)) return;
    const calledOff = new AbortController();
    setChoosing(calledOff);
    try {
      const name = jobName(told);
      const plain = withDrawing(newDesign(form.build, { ...answers, name }), drawing);
      const design = await chooseDesign(await getCatalogue(), plain, 0, { signal: calledOff.signal }).then(
        (solved) => solved.design,
        (error: unknown) => {
          if (calledOff.signal.aborted) return plain;
          throw error;
        },
      );
      const job = await createJob(name, design);
      void navigate(`/jobs/${job.id}/case`);
    } catch (error) {
      setProblems({ server: error instanceof Error ? error.message : String(error) });
      setChoosing(null);
    }
  };
  return (
    <>
      <PageHeader />
      <main className="mx-auto max-w-2xl px-5 py-6">
        <h1 className="mb-4 text-2xl font-bold">New job</h1>
        <form onSubmit={(event) => void submit(event)} noValidate>
          <BuildChoice chosen={form.build} onChoose={choose} />
          <fieldset className="mb-4">
            <legend className="mb-1 font-bold">What does it say?</legend>
            <FieldRow id="says" label="The sign says" problem={problems.text ?? null} below>
              <textarea
                dir="auto"
                id="says"
                rows={2}
                className={`${fieldLook} w-full text-base`}
                value={form.text}
                onChange={(event) => set({ text: event.target.value })}
              />
            </FieldRow>
            <DrawingChoice drawing={drawing} onChange={setDrawing} />
          </fieldset>
          <fieldset className="mb-4">
            <legend className="mb-1 font-bold">{words.sizesAsk}</legend>
            {sizes.map(sizeField)}
          </fieldset>
          <fieldset className="mb-5">
            <legend className="mb-1 font-bold">From how far is it read?</legend>
            {lengthField(
              'readingDistanceMm',
              'Nearest distance',
              form.readingDistanceMm,
              (mm) => set({ readingDistanceMm: Math.round(mm) }),
              'LEDs must not show one by one from there; “3 m”, “10ft” and arithmetic are understood',
            )}
          </fieldset>
          {problems.server !== undefined && (
            <p role="alert" className="mb-3 font-semibold text-signal">
              {problems.server}
            </p>
          )}
          <Button look="strong" type="submit" disabled={busy}>
            {busy ? 'Choosing strip, depth and supply …' : 'Light it'}
          </Button>
          {choosing !== null && (
            <Button className="ml-2" onClick={() => choosing.abort()}>
              Begin with usual values instead
            </Button>
          )}
        </form>
      </main>
    </>
  );
};
