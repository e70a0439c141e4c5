import type { HaloAssembly, HaloResults, Post } from '@vitrum/core';
import type { KeyboardEvent } from 'react';
import { changeDesign, useDocument } from '../../document/document-store';
import { arrowWay } from '../../lamp-room/arrow-way';
import { toScreen, type FrontView } from '../../lamp-room/front-view';
import { useFields, useSelection } from '../../document/selection';
import { freePost, pinAt, pinPost, pinsNow, usePins } from './post-edits';
import { useDrag } from '../../lamp-room/use-drag';

interface PostHandleProps {
  readonly number: number;
  readonly post: Post;
  readonly view: FrontView;
}

/** A post: dragged or moved by arrow keys it stays where it is put (square); Delete lets Vitrum place it again. */
const PostHandle = ({ number, post, view }: PostHandleProps) => {
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
  const radius = Math.max(4, (post.diameterMm / 2) * view.scale);
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
    </g>
  );
};

/** All posts of halo letters, numbered from left to right. */
export const PostsOverlay = ({ own, view }: { readonly own: HaloResults; readonly view: FrontView }) => (
  <g data-testid="posts-overlay">
    {own.posts
      .flatMap(({ posts }, part) => posts.map((post, index) => ({ post, key: `${part}-${index}` })))
      .sort((a, b) => a.post.at[0] - b.post.at[0])
      .map(({ post, key }, index) => (
        <PostHandle key={key} number={index + 1} post={post} view={view} />
      ))}
  </g>
);
