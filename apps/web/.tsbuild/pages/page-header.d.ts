/** The head of every page that is not a job. */
export declare const PageHeader: () => import('react').JSX.Element;
