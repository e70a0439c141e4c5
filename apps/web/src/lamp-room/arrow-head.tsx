/** The head of arrows along strip; stands once in each drawing that has them. */
export const ArrowHead = () => (
  <defs>
    <marker
      id="arrow"
      viewBox="0 0 10 10"
      refX="8"
      refY="5"
      markerWidth="9"
      markerHeight="9"
      markerUnits="userSpaceOnUse"
      orient="auto"
    >
      <path d="M0 0L10 5L0 10z" fill="#ffd27a" />
    </marker>
  </defs>
);
