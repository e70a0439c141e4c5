/** All jobs, lit. */
export declare const JobBookPage: () => import('react').JSX.Element;
