/** The ripple on the face against the eye: below the curve nobody sees it. */
export declare const ContrastChart: () => import('react').JSX.Element | null;
