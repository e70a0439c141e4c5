import { readIes, set, type PhotometricFile } from '@vitrum/core';
import { useMemo, useState, type ChangeEvent } from 'react';
import { useFields } from '../document/selection';
import { useDesignValue } from '../fields/design-fields';
import { changeDesign } from '../document/document-store';
import { Button } from '../ui/button';
import { lazyPart } from '../ui/lazy-part';

/** The chart library is fetched with the first measured strip. */
const PolarChart = lazyPart(() => import('./polar-chart'), 'PolarChart', { onlyWhenShown: true });

const Measured = ({ file, name }: { readonly file: PhotometricFile; readonly name: string }) => (
  <figure className="my-2">
    <PolarChart table={file.table} />
    <figcaption className="text-xs text-soft">
      {name}: beam {Math.round(file.beamAngleDeg)}°, {file.edition}, type {file.photometry}. Candela for a kilolumen:
      solid along the strip, dashed across. Only the shape is used; the flux is the strip’s.
    </figcaption>
  </figure>
);

/** How the LEDs spread their light: by the strip’s beam angle, or as a laboratory measured it. */
export const PhotometryField = () => {
  const field = useFields().light.photometry;
  const stored = useDesignValue(field);
  const [problem, setProblem] = useState<string | null>(null);
  const read = useMemo(() => (stored ? readIes(stored.ies) : null), [stored]);
  const onFile = async (event: ChangeEvent<HTMLInputElement>): Promise<void> => {
    const file = event.target.files?.[0];
    event.target.value = '';
    if (file === undefined) return;
    const ies = await file.text();
    const tried = readIes(ies);
    const [first] = tried.ok ? changeDesign([set(field, { name: file.name.slice(0, 120), ies })]) : tried.problems;
    setProblem(first === undefined ? null : `${file.name}, ${first.path}: ${first.message}`);
  };
  return (
    <section aria-label="Measured light" className="mt-2 border-t border-line pt-2">
      <div className="flex items-center justify-between gap-2">
        <h3 className="font-bold">{stored ? 'Light as measured' : 'Light by the beam angle'}</h3>
        {stored ? (
          <Button onClick={() => void changeDesign([set(field, null)])}>Forget it</Button>
        ) : (
          <label className="inline-flex whitespace-nowrap min-h-7 cursor-pointer items-center rounded-[3px] border border-ink bg-sheet px-2.5 pt-[5px] pb-[3px] font-semibold focus-within:outline-2 focus-within:outline-lamp hover:bg-paper">
            IES file …
            <input type="file" accept=".ies,text/plain" className="sr-only" onChange={(event) => void onFile(event)} />
          </label>
        )}
      </div>
      {problem !== null && (
        <p role="alert" className="mt-1 text-xs font-semibold text-signal">
          {problem}. The design is as it was.
        </p>
      )}
      {stored && read?.ok === true && <Measured file={read.value} name={stored.name} />}
    </section>
  );
};
