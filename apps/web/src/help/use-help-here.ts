import { useEffect, useState } from 'react';
import { useDocument } from '../document/document-store';
import { useChosenIndex } from '../document/selection';
import type { FoundField } from './find-help';

const none: ReadonlyMap<string, FoundField> = new Map();

/** What the fields of the open assembly mean; fetched once `wanted`, so that the sign is lit first. */
export const useHelpHere = (wanted: boolean): ReadonlyMap<string, FoundField> => {
  const index = useChosenIndex();
  const build = useDocument(({ design }) => design?.assemblies[index]?.build);
  const [fields, setFields] = useState(none);
  useEffect(() => {
    if (!wanted) return undefined;
    let gone = false;
    void import('./find-help')
      .then(({ fieldsOfBuild }) => fieldsOfBuild(build))
      .then((found) => {
        if (!gone) setFields(found);
      });
    return () => {
      gone = true;
    };
  }, [build, wanted]);
  return fields;
};
