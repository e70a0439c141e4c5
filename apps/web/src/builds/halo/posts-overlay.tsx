import type { AssemblyEvaluation, HaloAssembly, HaloResults, Post } from '@vitrum/core';
import type { KeyboardEvent } from 'react';
import { changeDesign, useDocument } from '../../document/document-store';
import { arrowWay } from '../../lamp-room/arrow-way';
import { toScreen, type FrontView } from '../../lamp-room/front-view';
import { useFields, useSelection } from '../../document/selection';
import { freePost, pinAt, pinPost, pinsNow, usePins } from './post-edits';
import { stripLabels } from '../../lamp-room/strip-labels';
import { figureWidth, thinned, type Label } from '../../lamp-room/thinned';
import { useDrag } from '../../lamp-room/use-drag';
import { useView } from '../../view/view-store';

const radiusOf = ({ diameterMm }: Post, { scale }: FrontView): number => Math.max(4, (diameterMm / 2) * scale);

interface PostHandleProps {
  readonly number: number;
  readonly post: Post;
  readonly view: FrontView;
  /** Whether there is room for its number. */
  readonly numbered: boolean;
}

/** A post: dragged or moved by arrow keys it stays where it is put (square); Delete lets Vitrum place it again. */
const PostHandle = ({ number, post, view, numbered }: PostHandleProps) => {
  const field = useFields<HaloAssembly>().posts.pinned;
  const pins = usePins();
  const pinned = pinAt(pins, post.at) >= 0;
  const drag = useDrag(view, () => {
    const before = pinsNow(useDocument.getState().design, useSelection.getState().assemblyId);
    return (at) => pinPost(field, before, post.at, at);
  });
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key === 'Escape') return drag.cancel();
    if (event.key === 'Delete' || event.key === 'Backspace') return void changeDesign(freePost(field, pins, post.at));
    const way = arrowWay(event);
    if (way === null) return;
    event.preventDefault();
    event.stopPropagation();
    changeDesign(pinPost(field, pins, post.at, [post.at[0] + way[0], post.at[1] + way[1]]));
  };
  const [x, y] = toScreen(view, ...post.at);
  const radius = radiusOf(post, view);
  const where = post.at.map((mm) => Math.round(mm)).join(', ');
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`Post ${number} at ${where} mm, ${pinned ? 'held by hand' : 'as solved'}`}
      data-testid="post"
      className="cursor-move touch-none"
      onKeyDown={onKeyDown}
      {...drag.handlers}
    >
      <circle cx={x} cy={y} r={Math.max(13, radius)} fill="transparent" />
      {pinned && (
        <rect
          x={x - radius - 4}
          y={y - radius - 4}
          width={2 * radius + 8}
          height={2 * radius + 8}
          fill="none"
          stroke="#8fd3ff"
          strokeWidth={1.5}
        />
      )}
      <circle cx={x} cy={y} r={radius} fill="#8fd3ff" stroke="#10212c" strokeWidth={1.5} />
      {numbered && (
        <text
          x={x + radius + 6}
          y={y - 5}
          fontSize={12}
          className="figure"
          fill="#8fd3ff"
          stroke="#10212c"
          strokeWidth={2.5}
          paintOrder="stroke"
        >
          {number}
        </text>
      )}
    </g>
  );
};

const numberPx = 12;

/** Where the number of a post stands: to the right of it, a little up. */
const numberLabel = (number: number, post: Post, view: FrontView): Label => {
  const [x, y] = toScreen(view, ...post.at);
  const width = figureWidth(String(number), numberPx);
  return { x: x + radiusOf(post, view) + 6 + width / 2, y: y - 9, width: width + 2, height: numberPx };
};

/** All posts of halo letters, numbered from left to right; numbers keep clear of each other and of those of strip. */
export const PostsOverlay = ({ own, view }: { readonly own: HaloResults; readonly view: FrontView }) => {
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
        <PostHandle key={key} number={index + 1} post={post} view={view} numbered={clear[index] ?? true} />
      ))}
    </g>
  );
};
