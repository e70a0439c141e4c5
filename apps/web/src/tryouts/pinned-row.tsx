import type { Evaluation } from '@vitrum/core';
import { Pin, X } from 'lucide-react';
import { setDesign, useDocument } from '../document/document-store';
import { useEvaluation } from '../evaluation/evaluation-store';
import { Button } from '../ui/button';
import { useView } from '../view/view-store';
import { PictureCanvas } from './picture-canvas';
import { useSignPicture } from './use-sign-picture';
import type { TryoutsLink } from './connect-tryouts';
import { mostPinned } from './pinning';
import { useTryouts } from './tryouts-store';
import { useParts } from '../view/use-parts';

const signPx = 200;

const Variant = ({ evaluation }: { readonly evaluation: Evaluation }) => {
  const { ambient, lit } = useParts(useView, 'ambient', 'lit');
  const picture = useSignPicture(evaluation, ambient, signPx, lit);
  const { cost, depthMm } = evaluation;
  const { assemblies } = evaluation;
  const named = assemblies.map(({ label, glow }) => ({ of: label === '' ? '' : `${label} `, glow }));
  const sentence = named.map(({ of, glow }) => (of === '' ? '' : `${of.trim()}: `) + glow.verdict.sentence).join(' ');
  const luminance = named.map(({ of, glow }) => `${of}${Math.round(glow.evenness.meanCdM2)}`).join(', ');
  return (
    <>
      <div className="flex h-24 items-center justify-center bg-[#1d1c1a] p-1.5">
        {picture !== null && <PictureCanvas picture={picture} label={sentence} className="max-h-full max-w-full" />}
      </div>
      <p className="figure mt-1 text-xs">
        {Math.round(depthMm)} mm deep, {luminance} cd/m², {cost.currency}
        {cost.perSign.toFixed(2)}
      </p>
      <p className="line-clamp-2 text-xs leading-tight text-soft">{sentence}</p>
    </>
  );
};

/** Variants side by side, all under the light chosen above: the design as it is, and up to four put aside. */
export const PinnedRow = ({ link }: { readonly link: TryoutsLink }) => {
  const pinned = useTryouts((state) => state.pinned);
  const now = useEvaluation((state) => state.evaluation);
  const pinNow = (): void => {
    const { design } = useDocument.getState();
    if (design !== null) link.pin(`variant ${pinned.length + 1}`, design);
  };
  return (
    <section
      aria-label="Variants"
      className="flex h-[214px] shrink-0 gap-3 overflow-x-auto border-t border-line bg-sheet px-4 py-2"
    >
      <article className="w-52 shrink-0" aria-label="The design now">
        <header className="mb-1 flex h-7 items-center justify-between">
          <strong>now</strong>
          <Button onClick={pinNow} disabled={pinned.length >= mostPinned}>
            <Pin size={13} aria-hidden /> Pin
          </Button>
        </header>
        {now !== null && <Variant evaluation={now} />}
      </article>
      {pinned.map(({ key, name, design, evaluation, failed }) => (
        <article key={key} className="w-52 shrink-0" aria-label={name}>
          <header className="mb-1 flex h-7 items-center justify-between">
            <strong>{name}</strong>
            <span className="flex">
              <Button look="quiet" onClick={() => setDesign(design)}>
                Take
              </Button>
              <Button look="quiet" aria-label={`Unpin ${name}`} onClick={() => link.unpin(key)}>
                <X size={14} aria-hidden />
              </Button>
            </span>
          </header>
          {failed && <p className="text-soft">This variant cannot be lit.</p>}
          {!failed && evaluation === null && <p className="text-soft">Lighting it …</p>}
          {evaluation !== null && <Variant evaluation={evaluation} />}
        </article>
      ))}
      {pinned.length === 0 && (
        <p className="max-w-60 self-center text-[13px] text-soft">
          Pin the design as it is, change it or take a point of the chart, and compare both here under the same light.
        </p>
      )}
    </section>
  );
};
