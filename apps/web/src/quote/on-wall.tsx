import type { JobQuotesView, WallView } from '@vitrum/contract';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { wallHeightMm, wallProblem, type WallLight, type WallSetup } from '@vitrum/core';
import { ImagePlus } from 'lucide-react';
import { useState, type ChangeEvent } from 'react';
import { getWall, placeOnWall, removeWall, sendWallPhoto, wallPhotoAddress, wallPicture } from '../api/walls';
import { drawnSmall } from '../bench-log/small-photo';
import { fieldLook } from '../fields/field-row';
import { CornerPicker } from '../photo/corner-picker';
import { Button, linkLook } from '../ui/button';
import { LabelledChoice } from '../ui/labelled-choice';
import { SignOutline } from './sign-outline';
import { setupFor } from './wall-setup';

/** The longer side of what is sent (px). */
const sentPx = 1200;

const asPng = (canvas: HTMLCanvasElement): Promise<Blob | null> =>
  new Promise((resolve) => canvas.toBlob(resolve, 'image/png'));

const lights: readonly { readonly value: WallLight; readonly label: string }[] = [
  { value: 'day', label: 'by day' },
  { value: 'night', label: 'after dark' },
];

interface ShownProps {
  readonly jobId: string;
  readonly wall: WallView;
  readonly revision: number;
}

/** A picture that takes a moment to be made. */
const WallPicture = ({ address, says }: { readonly address: string; readonly says: string }) => {
  const [state, setState] = useState<'coming' | 'there' | 'failed'>('coming');
  return (
    <figure>
      {state === 'failed' ? (
        <p role="alert" className="border border-line bg-sheet p-3 text-signal">
          It could not be shown. Mend what stops the design, or send the photograph once more.
        </p>
      ) : (
        <img
          src={address}
          alt={`The sign on its wall, ${says}`}
          className={`w-full bg-[#0f0f0e] ${state === 'coming' ? 'min-h-40' : ''}`}
          onLoad={() => setState('there')}
          onError={() => setState('failed')}
        />
      )}
      <figcaption className="text-[13px] text-soft">
        {state === 'coming' ? 'Lighting the wall …' : `${says}; flat on the wall, without its depth`}
      </figcaption>
    </figure>
  );
};

const Shown = ({ jobId, wall, revision }: ShownProps) => (
  <div className="mt-3 grid gap-4 sm:grid-cols-2">
    {(wall.setup?.taken === 'day' ? (['day', 'night'] as const) : (['night'] as const)).map((by) => {
      const address = wallPicture(jobId, by, wall.changedAt, revision);
      return <WallPicture key={address} address={address} says={by === 'day' ? 'By day' : 'By night'} />;
    })}
  </div>
);

interface LengthProps {
  readonly label: string;
  readonly value: number | undefined;
  readonly onChange: (value: number | undefined) => void;
}

const Length = ({ label, value, onChange }: LengthProps) => (
  <label className="flex items-center justify-between gap-2">
    {label}
    <span className="whitespace-nowrap">
      <input
        type="number"
        className={`${fieldLook} figure !w-24 text-right`}
        min={50}
        max={50_000}
        value={value === undefined || Number.isNaN(value) ? '' : value}
        onChange={({ target: { valueAsNumber } }) => onChange(Number.isNaN(valueAsNumber) ? undefined : valueAsNumber)}
      />{' '}
      mm
    </span>
  </label>
);

interface PlaceProps {
  readonly jobId: string;
  readonly view: JobQuotesView;
  readonly wall: WallView;
  readonly onPlaced: (wall: WallView) => void;
  readonly onRemoved: () => void;
}

/** Lays corners, a length and the sign onto a photograph. */
const Place = ({ jobId, view, wall, onPlaced, onRemoved }: PlaceProps) => {
  const [setup, setSetup] = useState<WallSetup>(() => wall.setup ?? setupFor(wall));
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const wrong = wallProblem(setup, wall);
  const doing = async (work: () => Promise<void>): Promise<void> => {
    setBusy(true);
    setProblem(null);
    try {
      await work();
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    } finally {
      setBusy(false);
    }
  };
  const said = problem ?? wrong?.message ?? null;
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
      <CornerPicker
        address={wallPhotoAddress(jobId, wall.changedAt)}
        width={wall.width}
        height={wall.height}
        corners={setup.corners}
        onChange={(corners) => setSetup({ ...setup, corners })}
      >
        <SignOutline
          setup={setup}
          picture={wall}
          front={view.front}
          onChange={(middleMm) => setSetup({ ...setup, middleMm })}
        />
      </CornerPicker>
      <div className="grid content-start gap-3">
        <p className="text-[13px]">
          Lay the four corners onto a rectangle on the wall: a window, a door, a sheet of paper taped to it. Then drag
          the sign to its place.
        </p>
        <Length
          label="How wide the rectangle is"
          value={setup.widthMm}
          onChange={(widthMm) => setSetup({ ...setup, widthMm: widthMm ?? Number.NaN })}
        />
        <Length
          label="How high, if it was measured"
          value={setup.heightMm}
          onChange={(heightMm) => setSetup({ ...setup, heightMm })}
        />
        {wrong === null && setup.heightMm === undefined && (
          <p className="text-[13px] text-soft">
            By how its sides run together it is {Math.round(wallHeightMm(setup, wall)).toLocaleString('en-GB')} mm high.
          </p>
        )}
        <LabelledChoice
          label="The photograph was taken"
          value={setup.taken}
          options={lights}
          onChoose={(taken) => setSetup({ ...setup, taken })}
        />
        {said !== null && (
          <p role="alert" className="text-[13px] font-semibold text-signal">
            {said}
          </p>
        )}
        <p className="flex flex-wrap gap-2">
          <Button
            look="strong"
            disabled={busy || wrong !== null}
            onClick={() => void doing(async () => onPlaced(await placeOnWall(jobId, setup)))}
          >
            Show it
          </Button>
          <Button
            look="quiet"
            disabled={busy}
            onClick={() =>
              void doing(async () => {
                await removeWall(jobId);
                onRemoved();
              })
            }
          >
            Put the photograph away
          </Button>
        </p>
      </div>
    </div>
  );
};

/** The sign in the customer’s own photograph of the wall; quotes that are made from now on show it. */
export const OnWall = ({ jobId, view }: { readonly jobId: string; readonly view: JobQuotesView }) => {
  const queries = useQueryClient();
  const key = ['wall', jobId];
  const { data: wall } = useQuery({ queryKey: key, queryFn: () => getWall(jobId), staleTime: 0 });
  const [problem, setProblem] = useState<string | null>(null);
  const take = async (event: ChangeEvent<HTMLInputElement>): Promise<void> => {
    const file = event.target.files?.[0];
    event.target.value = '';
    if (file === undefined) return;
    setProblem(null);
    try {
      const canvas = await drawnSmall(file, sentPx);
      const png = canvas === null ? null : await asPng(canvas);
      if (png === null) throw new Error('This picture cannot be read; take one as JPEG or PNG.');
      await sendWallPhoto(jobId, png);
      await queries.invalidateQueries({ queryKey: key });
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
  };
  if (wall === undefined) return null;
  return (
    <section aria-label="On the customer’s wall" className="mt-8 border-t border-line pt-4">
      <h2 className="text-lg font-bold">On the customer’s wall</h2>
      <p className="mb-2 text-[13px] text-soft">
        A photograph of the wall, from about in front and not cut to a part. Quotes made after this show the sign on it.
      </p>
      {wall !== null && (
        <Place
          key={`${jobId} ${wall.setup === null ? wall.changedAt : 'placed'}`}
          jobId={jobId}
          view={view}
          wall={wall}
          onPlaced={(placed) => queries.setQueryData(key, placed)}
          onRemoved={() => queries.setQueryData(key, null)}
        />
      )}
      <label className={`${linkLook} mt-2 inline-flex cursor-pointer focus-within:outline-2 focus-within:outline-lamp`}>
        <ImagePlus size={15} aria-hidden /> {wall === null ? 'Choose a photograph' : 'Take another photograph'}
        <input type="file" accept="image/*" className="sr-only" onChange={(event) => void take(event)} />
      </label>
      {problem !== null && (
        <p role="alert" className="text-[13px] font-semibold text-signal">
          {problem}
        </p>
      )}
      {wall !== null && wall.setup !== null && <Shown jobId={jobId} wall={wall} revision={view.revision} />}
    </section>
  );
};
