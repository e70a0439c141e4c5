/** A build and three questions; the piece is lit as soon as they are answered. */
export declare const NewJobPage: () => import('react').JSX.Element;
