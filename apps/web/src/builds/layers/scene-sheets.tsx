import {
  mostSheets,
  set,
  type DesignChange,
  type LayersAssembly,
  type LayersResults,
  type SheetDesign,
  type StripBehind,
} from '@vitrum/core';
import { useState, type ReactNode } from 'react';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { useOwnOf } from '../../evaluation/own';
import { useDesignValue } from '../../fields/design-fields';
import { drawingTypes } from '../../intake/use-drawing-file';
import { Alert } from '../../steps/artwork-source';
import { Button } from '../../ui/button';
import { FileButton } from '../../ui/file-button';
import { Slide } from '../../ui/slide';
import { useLength } from '../../view/use-length';
import { CombFields } from './comb-fields';
import { chooseSheet, useChosenSheet } from './chosen-sheet';
import { added, copied, fromFront, fromLayers, swapped, without, type Sheets } from './sheet-edits';
import { SheetFields } from './sheet-fields';
import { useLayersFile } from './use-layers-file';

const none: Sheets = [];

interface RowProps {
  readonly sheet: SheetDesign;
  readonly chosen: boolean;
  readonly rear: string;
}

const SheetRow = ({ sheet, chosen, rear }: RowProps) => (
  <li>
    <button
      type="button"
      aria-pressed={chosen}
      className="flex w-full items-center gap-2 rounded-[3px] border border-transparent px-1.5 py-1 text-left aria-pressed:border-ink aria-pressed:bg-paper"
      onClick={() => chooseSheet(sheet.id)}
    >
      <span
        aria-hidden
        className="h-4 w-4 shrink-0 rounded-[2px] border border-ink"
        style={{ backgroundColor: sheet.colour }}
      />
      <span className="min-w-0 flex-1 truncate font-semibold">{sheet.name}</span>
      <span className="figure text-[13px] text-soft">{rear}</span>
    </button>
  </li>
);

/** Strip whose sheet is taken away lies in the box again. */
const stillHidden = (
  at: ReturnType<typeof useFields<LayersAssembly>>['scene'],
  behind: StripBehind | null,
  next: Sheets,
): DesignChange => (behind === null || next.some(({ id }) => id === behind.sheetId) ? [] : [set(at.stripBehind, null)]);

/** Layers of a file as the sheets of the scene, or beside those that are there. */
const LayersIn = ({ sheets, depthMm }: { readonly sheets: Sheets; readonly depthMm: number }) => {
  const at = useFields<LayersAssembly>().scene;
  const behind = useDesignValue(at.stripBehind) ?? null;
  const [tones, setTones] = useState(4);
  const { open, problem, busy, told } = useLayersFile(tones, (taken, name) => {
    // A window keeps the strip hidden; what was drawn before is replaced.
    const stay = sheets.filter(({ shape }) => shape === 'window');
    const next = fromLayers(stay, taken, name, depthMm);
    const [wrong] = changeDesign([set(at.sheets, next), ...stillHidden(at, behind, next)]);
    return wrong?.message ?? null;
  });
  return (
    <section aria-label="Layers of a drawing" className="mt-2 border-t border-line pt-2">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h3 className="font-bold">Or the layers of a drawing</h3>
        <FileButton label="SVG, DXF, PDF, picture …" accept={drawingTypes} onFile={open} />
      </div>
      <p className="text-[13px] text-soft">
        Each layer or group becomes a sheet, the first drawn at the back. A picture is cut at several brightnesses:
      </p>
      <Slide label={`${tones} sheets of a picture`} value={tones} min={2} max={8} step={1} onChange={setTones} />
      {busy && <p role="status">Reading the drawing …</p>}
      <Alert problem={problem} />
      {told.slice(0, 6).map((each) => (
        <p key={each} className="text-[13px] text-soft">
          {each}
        </p>
      ))}
    </section>
  );
};

/** The sheets of a scene, the foremost first: which is shown, in which order, one more, one less; text where letters are cut. */
export const SceneSheets = ({ children }: { readonly children: ReactNode }) => {
  const at = useFields<LayersAssembly>();
  const own = useOwnOf<LayersResults>('layers');
  const sheets = useDesignValue(at.scene.sheets) ?? none;
  const depthMm = useDesignValue(at.case.depthInsideMm) ?? 60;
  const chosenId = useChosenSheet(({ id }) => id);
  const show = useLength();
  const order = fromFront(sheets);
  const index = Math.max(
    -1,
    sheets.some(({ id }) => id === chosenId) ? sheets.findIndex(({ id }) => id === chosenId) : (order[0] ?? -1),
  );
  const behind = useDesignValue(at.scene.stripBehind) ?? null;
  const change = (next: Sheets): boolean =>
    changeDesign([set(at.scene.sheets, next), ...stillHidden(at.scene, behind, next)]).length === 0;
  const add = (next: Sheets): void => {
    if (change(next)) chooseSheet(next.at(-1)?.id ?? null);
  };
  const place = order.indexOf(index);
  const full = sheets.length >= mostSheets;
  const rearOf = (each: number): string => {
    const standing = own?.scene.sheets.find((found) => found.index === each);
    return show(standing?.rearZMm ?? sheets[each]!.heightMm);
  };
  return (
    <>
      <h3 className="flex items-baseline justify-between font-bold">
        Foremost first <span className="text-xs font-normal text-soft">rear side, from the back</span>
      </h3>
      <ol aria-label="Sheets" className="my-1">
        {order.map((each) => (
          <SheetRow key={sheets[each]!.id} sheet={sheets[each]!} chosen={each === index} rear={rearOf(each)} />
        ))}
      </ol>
      <div className="mb-2 flex flex-wrap gap-1.5">
        <Button disabled={full} onClick={() => add(added(sheets, depthMm))}>
          Another sheet
        </Button>
        {index >= 0 && (
          <>
            <Button disabled={full} onClick={() => add(copied(sheets, index))}>
              Copy
            </Button>
            <Button disabled={place <= 0} onClick={() => change(swapped(sheets, index, 'front'))}>
              Forward
            </Button>
            <Button disabled={place >= order.length - 1} onClick={() => change(swapped(sheets, index, 'back'))}>
              Back
            </Button>
            <Button onClick={() => change(without(sheets, index))}>Take away</Button>
          </>
        )}
      </div>
      {index >= 0 && <SheetFields key={sheets[index]!.id} index={index} />}
      <CombFields />
      <LayersIn sheets={sheets} depthMm={depthMm} />
      {sheets.some(({ shape }) => shape === 'letters' || shape === 'lettered') && (
        <section aria-label="Letters" className="mt-2 border-t border-line pt-2">
          <h3 className="font-bold">The letters</h3>
          {children}
        </section>
      )}
    </>
  );
};
