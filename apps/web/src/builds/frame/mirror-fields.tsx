import {
  bandChange,
  bandLight,
  mirrorWays,
  mirrorWorkOf,
  usualMirror,
  usualMirrorWork,
  type FrameAssembly,
  type FrameResults,
  type MirrorWay,
} from '@vitrum/core';
import { useId } from 'react';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { useOwn } from '../../evaluation/own';
import { ChoiceField, LengthField, NumberField, useDesignValue } from '../../fields/design-fields';
import { FieldRow } from '../../fields/field-row';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { Choice } from '../../ui/choice';

const hours = (value: number): string => `${value.toFixed(1)} h`;

/** Both ways to come by a mirror in one line, each with its hours and its tries. */
export const waysInWords = (here: MirrorWay, bought: MirrorWay, currency: string): string => {
  const price = (value: number): string => `${Math.round(value)} ${currency}`;
  const own = `Made here: ${price(here.price)} with ${hours(here.hours)} and ${here.tries.toFixed(2)} tries`;
  const apart = Math.round(here.price - bought.price);
  const verdict =
    apart === 0
      ? 'It comes to the same.'
      : apart > 0
        ? `Bought in is ${apart} ${currency} cheaper.`
        : `Made here is ${-apart} ${currency} cheaper.`;
  const shop = bought.guessed ? 'glass shop, typical price until it has been asked' : 'glass shop';
  return `${own}; ${shop}: ${price(bought.price)} with ${hours(bought.hours)}. ${verdict}`;
};

/** Who makes the mirror, what of tries fails, what a glass shop asks; both compared. */
const WorkFields = () => {
  const at = useFields<FrameAssembly>().shows.mirrorWork;
  const { rates } = useCatalogue();
  const own = useOwn() as unknown as FrameResults | null;
  const work = mirrorWorkOf({ mirrorWork: useDesignValue(at) });
  const pane = own?.materials.mirror ?? null;
  const ways =
    own === null || pane === null ? null : mirrorWays(work, pane, own.geometry.face, own.lettering.letterCount, rates);
  return (
    <section aria-label="Mirror made by" className="mt-2 border-t border-line pt-2">
      <ChoiceField
        label="Made by"
        field={at.by}
        otherwise={usualMirrorWork.by}
        choices={[
          { value: 'here', label: 'this shop' },
          { value: 'glass-shop', label: 'a glass shop' },
        ]}
      />
      <NumberField
        label="Tries that fail"
        field={at.failShare}
        otherwise={usualMirrorWork.failShare}
        unit="%"
        scale={100}
        step={5}
        hint="each costs a mirror and the work on it"
      />
      <NumberField label="A glass shop asks" field={at.quote} unit={rates.currency} step={5} optional />
      {ways !== null && (
        <p className="mt-1 text-[13px] text-soft">{waysInWords(ways.here, ways.bought, rates.currency)}</p>
      )}
    </section>
  );
};

/** The frosted band of a mirror, and where its strip runs. */
const BandFields = () => {
  const at = useFields<FrameAssembly>();
  const band = useDesignValue(at.shows.band);
  const retention = useDesignValue(at.case.retention);
  const layout = useDesignValue(at.light.layout);
  const id = useId();
  const own = useOwn() as unknown as FrameResults | null;
  const move = (round: string): void => {
    if (band === undefined || own === null) return;
    const { face, inside } = own.geometry;
    // Without depth for an inner frame strip stays on the returns.
    void changeDesign(bandChange(at, bandLight(face, band, round === 'inner' ? inside.depthMm : 0)));
  };
  return (
    <>
      <LengthField label="Lit band, in from the edge" field={at.shows.band.insetMm} />
      <LengthField label="Lit band width" field={at.shows.band.widthMm} />
      <LengthField label="Lit band’s corners" field={at.shows.band.cornerMm} hint="radius, outside" />
      <FieldRow id={id} label="Strip runs" below>
        <Choice
          id={id}
          className="w-full"
          value={layout === 'block' ? 'inner' : 'returns'}
          options={[
            { value: 'inner', label: 'round an inner frame, looking out' },
            { value: 'returns', label: 'along the returns, looking to the front' },
          ]}
          onChoose={move}
        />
      </FieldRow>
      {retention === 'laid-on' && (
        <LengthField
          label="Glue, in from the edge"
          field={at.shows.beadMm}
          otherwise={(own?.materials.returnBoard.thicknessMm ?? 0) / 2}
          hint="to the middle of its bead"
        />
      )}
    </>
  );
};

/** A mirror of either kind: which, its band or the place of its letters, who makes it. */
export const MirrorFields = ({ banded }: { readonly banded: boolean }) => {
  const at = useFields<FrameAssembly>();
  const { panes } = useCatalogue();
  return (
    <>
      <ChoiceField
        label="Mirror"
        wide
        field={at.shows.mirrorId}
        otherwise={usualMirror}
        choices={choicesOf(panes.filter(({ silver }) => silver !== undefined))}
      />
      {banded && <BandFields />}
      <WorkFields />
    </>
  );
};
