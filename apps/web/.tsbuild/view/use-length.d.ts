/** Shows a length (mm) in the user's unit. */
export declare const useLength: () => (mm: number) => string;
