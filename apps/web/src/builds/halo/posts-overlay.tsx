import type { AssemblyEvaluation, HaloAssembly, HaloResults, Post } from '@vitrum/core';
import { useDocument } from '../../document/document-store';
import { toScreen, type FrontView } from '../../lamp-room/front-view';
import { useFields, useSelection } from '../../document/selection';
import { PinHandle } from '../../lamp-room/pin-handle';
import { pinsNow, usePins } from './post-edits';
import { stripLabels } from '../../lamp-room/strip-labels';
import { figureWidth, thinned, type Label } from '../../lamp-room/thinned';
import { useView } from '../../view/view-store';

const radiusOf = ({ diameterMm }: Post, { scale }: FrontView): number => Math.max(4, (diameterMm / 2) * scale);

const numberPx = 12;

/** Where the number of a post stands: to the right of it, a little up. */
const numberLabel = (number: number, post: Post, view: FrontView): Label => {
  const [x, y] = toScreen(view, ...post.at);
  const width = figureWidth(String(number), numberPx);
  return { x: x + radiusOf(post, view) + 6 + width / 2, y: y - 9, width: width + 2, height: numberPx };
};

/** All posts of halo letters, numbered from left to right; numbers keep clear of each other and of those of strip. */
export const PostsOverlay = ({ own, view }: { readonly own: HaloResults; readonly view: FrontView }) => {
  const field = useFields<HaloAssembly>().posts.pinned;
  const pins = usePins();
  const stripShown = useView(({ overlays }) => overlays.includes('strip'));
  const posts = own.posts
    .flatMap(({ posts: all }, part) => all.map((post, index) => ({ post, key: `${part}-${index}` })))
    .sort((a, b) => a.post.at[0] - b.post.at[0]);
  const taken = stripShown ? stripLabels(own as unknown as AssemblyEvaluation, view) : [];
  const labels = posts.map(({ post }, index) => numberLabel(index + 1, post, view));
  const clear = thinned([...taken, ...labels]).slice(taken.length);
  return (
    <g data-testid="posts-overlay">
      {posts.map(({ post, key }, index) => (
        <PinHandle
          key={key}
          name={`Post ${index + 1}`}
          testId="post"
          number={index + 1}
          at={post.at}
          radiusPx={radiusOf(post, view)}
          view={view}
          field={field}
          pins={pins}
          pinsNow={() => pinsNow(useDocument.getState().design, useSelection.getState().assemblyId)}
          numbered={clear[index] ?? true}
          colour="#8fd3ff"
        />
      ))}
    </g>
  );
};
