interface SkeletonProps {
  /** What is waited for. */
  readonly says: string;
  /** How each of the shapes looks that stand in for it. */
  readonly shapes: readonly string[];
  readonly className?: string;
}

/** Stands where something is on its way: its outlines, and the words for who does not see them. */
export const Skeleton = ({ says, shapes, className = '' }: SkeletonProps) => (
  <div role="status" className={className}>
    <p className="sr-only">{says}</p>
    {shapes.map((shape, index) => (
      <div key={index} aria-hidden className={`animate-pulse rounded-[2px] bg-line/60 ${shape}`} />
    ))}
  </div>
);
