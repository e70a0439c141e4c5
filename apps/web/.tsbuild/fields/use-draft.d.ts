/** A field's text while it is being typed; outside of that it shows the stored value. */
export interface DraftText {
  readonly text: string;
  readonly problem: string | null;
  readonly type: (text: string) => void;
  readonly commit: () => void;
  readonly abandon: () => void;
}
/** `save` takes the typed text and returns what is wrong with it, or null. */
export declare const useDraft: (stored: string, save: (text: string) => string | null) => DraftText;
