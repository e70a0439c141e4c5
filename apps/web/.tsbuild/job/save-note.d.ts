/** How the page's design stands to the server's. */
export declare const SaveNote: () => import('react').JSX.Element;
