import { mostPixels, set, type FieldRef, type PictureDesign } from '@vitrum/core';
import { useState } from 'react';
import { changeDesign } from '../../document/document-store';
import { useDesignValue } from '../../fields/design-fields';
import { pictureProblem } from '../../intake/picture-size';
import { pixelsOf } from '../../intake/read-drawing-file';
import { Alert } from '../../steps/artwork-source';
import { Button } from '../../ui/button';
import { FileButton } from '../../ui/file-button';
import { longestKept, mostPictureBytes, pictureAmiss, pictureFrom } from './picture-edits';

interface PictureFieldProps {
  readonly field: FieldRef<PictureDesign | null | undefined>;
  /** What it is called while there is none, and what it does then. */
  readonly title: string;
  readonly hint: string;
}

/** A picture that is printed: taken from a file, or put away again. */
export const PictureField = ({ field, title, hint }: PictureFieldProps) => {
  const picture = useDesignValue(field) ?? null;
  const [problem, setProblem] = useState<string | null>(null);
  const onFile = async (file: File): Promise<void> => {
    if (file.size > mostPictureBytes) {
      setProblem(`${file.name} is larger than ${mostPictureBytes / 1e6} MB; save it smaller as JPEG`);
      return;
    }
    try {
      const pixels = await pixelsOf(file, longestKept, mostPixels);
      const amiss = pictureAmiss(pixels);
      const [wrong] =
        amiss === null
          ? changeDesign([set(field, pictureFrom(file.name, pixels))])
          : [{ message: `${file.name} ${amiss}` }];
      setProblem(wrong?.message ?? null);
    } catch (reason) {
      setProblem(pictureProblem(file.name, reason));
    }
  };
  return (
    <section aria-label="Picture" className="mt-2 border-t border-line pt-2">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h3 className="min-w-0 truncate font-bold">{picture === null ? title : picture.name}</h3>
        <span className="flex gap-1.5">
          {picture !== null && <Button onClick={() => void changeDesign([set(field, null)])}>Take it off</Button>}
          <FileButton label={picture === null ? 'PNG, JPEG …' : 'Another …'} accept=".png,.jpg,.jpeg" onFile={onFile} />
        </span>
      </div>
      <Alert problem={problem} />
      <p className="mt-1 text-[13px] text-soft">
        {picture === null ? hint : 'Kept small, to show its light. Send the printer your own file.'}
      </p>
    </section>
  );
};
