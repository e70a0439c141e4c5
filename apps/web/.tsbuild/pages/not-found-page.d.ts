export declare const NotFoundPage: ({ what }: { readonly what?: string }) => import('react').JSX.Element;
