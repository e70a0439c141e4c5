import {
  createSession,
  loadFontBook,
  loadPaperFonts,
  type PaperFonts,
  type SessionReply,
  type SessionRequest,
} from '@vitrum/core';
import { loadFontFile } from './font-files';

const post = (reply: SessionReply): void => self.postMessage(reply);

/** A message channel answers sooner than any timer, and after messages that already wait. */
const channel = new MessageChannel();
const waiting: (() => void)[] = [];
channel.port1.onmessage = () => waiting.shift()?.();
const pause = (): Promise<void> =>
  new Promise((resolve) => {
    waiting.push(resolve);
    channel.port2.postMessage(null);
  });

let printed: Promise<PaperFonts> | null = null;

/** Most threads only light; the one that prints loads what for, and again where it failed. */
const paper = (): Promise<PaperFonts> =>
  (printed ??= import('./paper-files')
    .then(({ loadPaperFile }) => loadPaperFonts(loadPaperFile))
    .catch((error: unknown) => {
      printed = null;
      throw error;
    }));

const session = loadFontBook(loadFontFile).then((fonts) => createSession({ fonts, paper, post, pause }));

self.onmessage = ({ data }: MessageEvent<SessionRequest>): void => {
  session.then(
    (handle) => handle(data),
    (error: unknown) => post({ kind: 'crashed', id: data.id, message: String(error) }),
  );
};
