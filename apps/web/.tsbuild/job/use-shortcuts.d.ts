/** Our keys, told to whoever presses ?. */
export declare const keys: readonly (readonly [string, string])[];
/** Keys of the job page; none while typing, but undo and redo. */
export declare const useShortcuts: (jobId: string, onHelp: () => void) => void;
