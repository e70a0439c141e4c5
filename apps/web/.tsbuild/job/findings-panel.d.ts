/** What stops, what disappoints, what to know; each with its remedies tried on this very design. */
export declare const FindingsPanel: () => import('react').JSX.Element;
