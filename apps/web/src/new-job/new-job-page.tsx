import { NewJobForm } from '@vitrum/contract';
import { formatLength, newFaceLit, newHalo, newLightbox, parseLength } from '@vitrum/core';
import { validate } from 'class-validator';
import { useEffect, useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { createJob } from '../api/jobs';
import { FieldRow, fieldLook } from '../fields/field-row';
import { TypedField } from '../fields/typed-field';
import { PageHeader } from '../pages/page-header';
import { Button } from '../ui/button';
import { useView } from '../view/view-store';

type Problems = Readonly<Partial<Record<keyof NewJobForm | 'server', string>>>;

const check = async (form: NewJobForm): Promise<Problems> => {
  const errors = await validate(form);
  return Object.fromEntries(errors.map(({ property, constraints }) => [property, Object.values(constraints ?? {})[0]]));
};

const jobName = (text: string): string => text.replace(/\s+/g, ' ').trim().slice(0, 60) || 'New sign';

const builds = [
  { build: 'lightbox', name: 'Light box', detail: 'a case with a diffusing face, LEDs in rows or round the rim' },
  { build: 'halo', name: 'Halo letters', detail: 'letters held off the wall, glowing on it' },
  { build: 'face-lit', name: 'Face-lit letters', detail: 'letter-shaped cases with glowing faces' },
  { build: null, name: 'Edge-lit panel', detail: 'clear sheet, engraved, lit from its edge' },
  { build: null, name: 'Strip in a channel', detail: 'strip or tube in a routed groove' },
  { build: null, name: 'Layered scene', detail: 'cut sheets on spacers, lit from behind' },
  { build: null, name: 'Display frame', detail: 'a frame that lights a print or a mirror' },
] as const;

interface BuildChoiceProps {
  readonly chosen: NewJobForm['build'];
  readonly onChoose: (build: NewJobForm['build']) => void;
}

const BuildChoice = ({ chosen, onChoose }: BuildChoiceProps) => (
  <fieldset className="mb-5">
    <legend className="mb-1.5 font-bold">What is it?</legend>
    <div className="grid grid-cols-2 gap-2 sm:grid-cols-3">
      {builds.map(({ build, name, detail }) => (
        <label
          key={name}
          className={`flex gap-2 border px-3 py-2 ${build === chosen ? 'border-ink bg-sheet' : 'border-line'} ${build === null ? 'text-soft' : ''}`}
        >
          <input
            type="radio"
            name="build"
            checked={build === chosen}
            disabled={build === null}
            onChange={() => build !== null && onChoose(build)}
            className="mt-1 accent-[var(--ink)]"
          />
          <span>
            <span className="block font-semibold">{name}</span>
            <span className="block text-xs text-soft">{build === null ? 'not in this version' : detail}</span>
          </span>
        </label>
      ))}
    </div>
  </fieldset>
);

/** A build and three questions; the piece is lit as soon as they are answered. */
export const NewJobPage = () => {
  const navigate = useNavigate();
  const unit = useView((view) => view.unit);
  const [form, setForm] = useState(() => new NewJobForm());
  const [problems, setProblems] = useState<Problems>({});
  /** Fields whose text is no length; the form waits for them. */
  const [mistyped, setMistyped] = useState<Readonly<Record<string, boolean>>>({});
  const [busy, setBusy] = useState(false);
  useEffect(() => {
    document.title = 'New job · Vitrum';
  }, []);
  const set = (part: Partial<NewJobForm>): void => {
    setForm((now) => Object.assign(new NewJobForm(), now, part));
    // What was wrong with a field is forgotten as soon as it is changed.
    setProblems((now) => Object.fromEntries(Object.entries(now).filter(([key]) => !(key in part))));
  };
  const length = (key: 'widthMm' | 'heightMm' | 'capHeightMm' | 'readingDistanceMm', label: string, hint?: string) => (
    <>
      <TypedField
        label={label}
        hint={hint}
        stored={formatLength(form[key], unit)}
        save={(text) => {
          const parsed = parseLength(text, unit);
          setMistyped((now) => ({ ...now, [key]: !parsed.ok }));
          if (!parsed.ok) return parsed.problems[0]?.message ?? 'not a length';
          set({ [key]: key === 'readingDistanceMm' ? Math.round(parsed.value) : parsed.value });
          return null;
        }}
      />
      {problems[key] !== undefined && (
        <p role="alert" className="text-xs font-semibold text-signal">
          {problems[key]}
        </p>
      )}
    </>
  );
  const submit = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    const wrong = await check(form);
    setProblems(wrong);
    if (Object.keys(wrong).length > 0 || Object.values(mistyped).some(Boolean)) return;
    setBusy(true);
    try {
      const name = jobName(form.text);
      const design = { lightbox: newLightbox, halo: newHalo, 'face-lit': newFaceLit }[form.build]({ ...form, name });
      const job = await createJob(name, design);
      void navigate(`/jobs/${job.id}/case`);
    } catch (error) {
      setProblems({ server: error instanceof Error ? error.message : String(error) });
      setBusy(false);
    }
  };
  return (
    <>
      <PageHeader />
      <main className="mx-auto max-w-2xl px-5 py-6">
        <h1 className="mb-4 text-2xl font-bold">New job</h1>
        <form onSubmit={(event) => void submit(event)} noValidate>
          <BuildChoice chosen={form.build} onChoose={(build) => set({ build })} />
          <fieldset className="mb-4">
            <legend className="mb-1 font-bold">What does it say?</legend>
            <FieldRow id="says" label="The sign says" problem={problems.text ?? null} stacked>
              <textarea
                id="says"
                rows={2}
                className={`${fieldLook} w-full text-base`}
                value={form.text}
                onChange={(event) => set({ text: event.target.value })}
              />
            </FieldRow>
          </fieldset>
          <fieldset className="mb-4">
            <legend className="mb-1 font-bold">
              {form.build !== 'lightbox' ? 'How tall are the letters?' : 'How large is it outside?'}
            </legend>
            {form.build !== 'lightbox' ? (
              length('capHeightMm', 'Cap height', 'of a capital H; a drawing can take their place in the step Artwork')
            ) : (
              <>
                {length('widthMm', 'Width')}
                {length('heightMm', 'Height')}
              </>
            )}
          </fieldset>
          <fieldset className="mb-5">
            <legend className="mb-1 font-bold">From how far is it read?</legend>
            {length(
              'readingDistanceMm',
              'Nearest distance',
              'LEDs must not show one by one from there; “3 m”, “10ft” and arithmetic are understood',
            )}
          </fieldset>
          {problems.server !== undefined && (
            <p role="alert" className="mb-3 font-semibold text-signal">
              {problems.server}
            </p>
          )}
          <Button look="strong" type="submit" disabled={busy}>
            {busy ? 'Lighting it …' : 'Light it'}
          </Button>
        </form>
      </main>
    </>
  );
};
