/** The lamp room: the piece as it looks, always. */
export declare const LitView: () => import('react').JSX.Element;
