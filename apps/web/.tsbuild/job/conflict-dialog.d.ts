/** Somebody saved this job in the meantime: both versions are on the server; one goes on. */
export declare const ConflictDialog: () => import('react').JSX.Element | null;
