/** Something failed: what, and what to do. */
export declare const ErrorSheet: ({ error }: { readonly error: unknown }) => import('react').JSX.Element;
