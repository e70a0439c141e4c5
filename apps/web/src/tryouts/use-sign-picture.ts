import type { Ambient, Picture, PicturedSign } from '@vitrum/core';
import { useEffect, useState } from 'react';
import { workers } from '../workers/clients';

/** A picture of a whole sign, made by a thread of its own; the last one, or null, until it comes. */
export const useSignPicture = (sign: PicturedSign, ambient: Ambient, widthPx: number, lit = true): Picture | null => {
  const [picture, setPicture] = useState<Picture | null>(null);
  useEffect(() => {
    const { assemblies, bounds, design } = sign;
    return workers.pictures.ask({
      request: { sign: { assemblies, bounds, design }, ambient, widthPx, lit },
      hear: (reply) => setPicture(reply.picture),
      // What lacks a picture still has its figures beside it.
      fail: () => setPicture(null),
    });
  }, [sign, ambient, widthPx, lit]);
  return picture;
};
