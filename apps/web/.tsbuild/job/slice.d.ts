/** The section to scale, lying on its back, its layers named; the back can be dragged. */
export declare const Slice: () => import('react').JSX.Element;
