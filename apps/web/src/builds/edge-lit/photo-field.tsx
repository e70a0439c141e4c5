import { densestMm, freePlace, mostTones, photoSize, photoWants, set, type PanelResults } from '@vitrum/core';
import { useState } from 'react';
import { changeDesign } from '../../document/document-store';
import { useOwnOf } from '../../evaluation/own';
import { ChoiceField, LengthField, useDesignValue } from '../../fields/design-fields';
import { pictureProblem } from '../../intake/picture-size';
import { pictureOf } from '../../intake/read-drawing-file';
import { Alert } from '../../steps/artwork-source';
import { Button } from '../../ui/button';
import { FileButton } from '../../ui/file-button';
import { useLength } from '../../view/use-length';
import { usePanelArtwork } from './panel-artwork';
import { longestTones, mostPhotoBytes, photoAmiss, photoFrom, takePhoto } from './photo-edits';

/** A photograph in the place of text and drawing: taken from a file, sized, or put away again. */
export const PhotoField = () => {
  const { fields, place } = usePanelArtwork();
  const photo = useDesignValue(fields.photo) ?? null;
  const spacing = useDesignValue(fields.spacingMm) ?? 1;
  const own = useOwnOf<PanelResults>('edge-lit');
  const show = useLength();
  const [problem, setProblem] = useState<string | null>(null);
  const onFile = async (file: File): Promise<void> => {
    // An area just added is not worked out yet: its tool is that of the artwork.
    const engraving = (own?.areas[place] ?? own?.areas[0])?.engraving;
    if (own === null || engraving === undefined) {
      setProblem(`The sheet is still being worked out; choose ${file.name} again in a moment`);
      return;
    }
    if (file.size > mostPhotoBytes) {
      setProblem(`${file.name} is larger than ${mostPhotoBytes / 1e6} MB; save it smaller as JPEG`);
      return;
    }
    try {
      const picture = await pictureOf(file, longestTones, mostTones);
      const amiss = photoAmiss(picture);
      const at = photo === null ? freePlace(own, place, picture.height / picture.width) : null;
      const taken = photoFrom(file.name, picture, at?.widthMm ?? photo?.widthMm ?? 100);
      const [wrong] =
        amiss === null
          ? changeDesign(takePhoto(fields, taken, photo === null ? densestMm(engraving, 'dots') : spacing, at))
          : [{ message: `${file.name} ${amiss}` }];
      setProblem(wrong?.message ?? null);
    } catch (reason) {
      setProblem(pictureProblem(file.name, reason));
    }
  };
  const size = photo === null ? null : photoSize(photo);
  return (
    <section aria-label="Photograph" className="mt-2 border-t border-line pt-2">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h3 className="min-w-0 truncate font-bold">{photo === null ? 'Or a photograph, as dots' : photo.name}</h3>
        <span className="flex gap-1.5">
          {photo !== null && (
            <Button onClick={() => void changeDesign([set(fields.photo, null), set(fields.fill, 'solid')])}>
              Back to text
            </Button>
          )}
          <FileButton label={photo === null ? 'PNG, JPEG …' : 'Another …'} accept=".png,.jpg,.jpeg" onFile={onFile} />
        </span>
      </div>
      <Alert problem={problem} />
      {photo !== null && size !== null && (
        <>
          <LengthField
            label="Photograph’s width"
            field={fields.photo.widthMm}
            hint={`${show(size.height)} high; dots ${spacing} mm apart want ${show(photoWants(photo, spacing))} or more`}
          />
          <ChoiceField
            label="What shines"
            field={fields.photo.worked}
            otherwise="bright"
            choices={[
              { value: 'bright', label: 'its bright places' },
              { value: 'dark', label: 'its dark places' },
            ]}
          />
        </>
      )}
    </section>
  );
};
