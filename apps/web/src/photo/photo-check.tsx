import { isWholeFace, type AssemblyEvaluation, type ComparedPhoto, type Corners } from '@vitrum/core';
import { Camera } from 'lucide-react';
import { useMemo, useState, type ChangeEvent } from 'react';
import { writeDown } from '../bench-log';
import { smallPhoto } from '../bench-log/small-photo';
import { Button, linkLook } from '../ui/button';
import { SheetDialog } from '../ui/sheet-dialog';
import { workers } from '../workers/clients';
import { CornerPicker } from './corner-picker';
import { LuminanceCanvas } from './luminance-canvas';
import { useAddress } from './use-address';
import { readPhoto, type ReadPhoto } from './read-photo';

const percent = (share: number): string => `${Math.round(100 * share)} %`;

/** Corners to begin with: the middle of the picture, as wide as the face is to its height. */
const firstCorners = ({ pixels: { width, height } }: ReadPhoto): Corners => {
  const [x, y] = [width / 5, height / 4];
  return [
    [x, y],
    [width - x, y],
    [width - x, height - y],
    [x, height - y],
  ];
};

const topOf = ({ measured, computed }: ComparedPhoto): number =>
  Math.max(...[measured, computed].map((map) => map.reduce((most, value) => Math.max(most, value), 0)));

/** What the picture says of the piece, in words. */
const resultWords = ({ measuredDarkest, computedDarkest, differs }: ComparedPhoto): string =>
  `Darkest place ${percent(measuredDarkest)} of the mean, computed ${percent(computedDarkest)}; they differ by ${percent(differs)} over the face.`;

const Result = ({ found }: { readonly found: ComparedPhoto }) => {
  const top = topOf(found);
  const { worst, grid } = found;
  return (
    <section aria-label="What the photograph says" className="grid gap-2">
      <p className="font-semibold">{resultWords(found)}</p>
      <div className="flex gap-3">
        <LuminanceCanvas label="photographed" grid={grid} map={found.measured} top={top} />
        <LuminanceCanvas label="computed" grid={grid} map={found.computed} top={top} />
      </div>
      <p className="text-[13px] text-soft">
        They differ most {Math.round(worst.xMm - grid.area.x)} mm from the left and{' '}
        {Math.round(grid.area.y + grid.area.height - worst.yMm)} mm from the top: {percent(worst.measured)} of the mean,
        computed {percent(worst.computed)}. Letters and rim are left out.
      </p>
    </section>
  );
};

interface SheetProps {
  readonly own: AssemblyEvaluation;
  readonly photo: ReadPhoto;
  readonly onClose: () => void;
}

const PhotoSheet = ({ own, photo, onClose }: SheetProps) => {
  const [corners, setCorners] = useState(() => firstCorners(photo));
  const [found, setFound] = useState<ComparedPhoto | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const { grid } = own.glow;
  const address = useAddress(photo.file)!;
  const [busy, setBusy] = useState(false);
  const measure = (): void => {
    const { letters, luminance } = own.glow;
    setBusy(true);
    workers.photo.ask({
      request: { kind: 'compare', photo: photo.pixels, corners, face: { grid, letters, luminance } },
      hear: ({ result }) => {
        setBusy(false);
        setFound(result.ok ? result.value : null);
        setProblem(result.ok ? null : result.problems.map(({ path, message }) => `${path}: ${message}`).join('; '));
      },
      fail: (message) => {
        setBusy(false);
        setProblem(message);
      },
    });
  };
  const keep = async (): Promise<void> => {
    const small = await smallPhoto(photo.file);
    if (small === null || found === null) return;
    writeDown({ what: 'photo', value: found.measuredDarkest, words: resultWords(found) }, small);
    onClose();
  };
  return (
    <SheetDialog open wide onClose={onClose} title="Evenness by photograph">
      <div className="grid gap-3">
        <p className="text-[13px] text-soft">
          Lay the corners onto those of the lit face, {Math.round(grid.area.width)} × {Math.round(grid.area.height)} mm
          as it is computed: drag them, or use the arrow keys.
        </p>
        <CornerPicker
          address={address}
          width={photo.pixels.width}
          height={photo.pixels.height}
          corners={corners}
          onChange={(next) => {
            setCorners(next);
            setFound(null);
          }}
        />
        <div className="flex gap-2">
          <Button look="strong" disabled={busy} onClick={measure}>
            Measure
          </Button>
          <Button disabled={found === null} onClick={() => void keep()}>
            Keep it with the job
          </Button>
        </div>
        {problem !== null && (
          <p role="alert" className="border-l-4 border-signal px-3 py-1.5">
            {problem}.
          </p>
        )}
        {found !== null && <Result found={found} />}
      </div>
    </SheetDialog>
  );
};

/** A photograph of the finished piece, laid beside what was computed for it. */
export const PhotoCheck = ({ own }: { readonly own: AssemblyEvaluation }) => {
  const [photo, setPhoto] = useState<ReadPhoto | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const wholeFace = useMemo(() => isWholeFace(own.glow, own.geometry.outside), [own]);
  const take = async (event: ChangeEvent<HTMLInputElement>): Promise<void> => {
    const file = event.target.files?.[0];
    event.target.value = '';
    if (file === undefined) return;
    const read = await readPhoto(file);
    setPhoto(read);
    setProblem(read === null ? 'This browser cannot read that picture; take it as JPEG or PNG.' : null);
  };
  return (
    <section aria-label="Photograph" className="no-print mt-3">
      <h3 className="font-bold">Photograph</h3>
      <p className="mb-1 text-[13px] text-soft">
        In the dark, from the middle in front, exposed so that nothing is white: how even the piece is, beside what was
        computed.
      </p>
      {!wholeFace && (
        <p className="text-[13px]">
          A face that is lit all over can be measured so; a wall behind letters, marks and lines cannot.
        </p>
      )}
      {wholeFace && (
        <label className={`${linkLook} cursor-pointer focus-within:outline-2 focus-within:outline-lamp`}>
          <Camera size={15} aria-hidden /> Choose a photograph
          <input type="file" accept="image/*" className="sr-only" onChange={(event) => void take(event)} />
        </label>
      )}
      {problem !== null && (
        <p role="alert" className="text-signal">
          {problem}
        </p>
      )}
      {photo !== null && <PhotoSheet own={own} photo={photo} onClose={() => setPhoto(null)} />}
    </section>
  );
};
