import { createFaultSession, loadFontBook, type FaultReply, type FaultRequest } from '@vitrum/core';
import { loadFontFile } from './font-files';

const post = (reply: FaultReply): void => self.postMessage(reply);

const session = loadFontBook(loadFontFile).then(createFaultSession);

self.onmessage = ({ data }: MessageEvent<FaultRequest>): void => {
  session.then(
    (answer) => post(answer(data)),
    (error: unknown) => post({ id: data.id, kind: 'refused', sentence: String(error) }),
  );
};
