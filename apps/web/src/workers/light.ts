import { createSession, loadFontBook, type SessionReply, type SessionRequest } from '@vitrum/core';
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

const session = loadFontBook(loadFontFile).then((fonts) => createSession({ fonts, post, pause }));

self.onmessage = ({ data }: MessageEvent<SessionRequest>): void => {
  session.then(
    (handle) => handle(data),
    (error: unknown) => post({ kind: 'crashed', id: data.id, message: String(error) }),
  );
};
