interface ColourFieldProps {
  readonly label: string;
  readonly value: string;
  readonly choices: readonly {
    readonly value: string;
    readonly label: string;
  }[];
  readonly onChoose: (choice: string) => void;
  /** Where a mixed colour is stored; null while a white is chosen. */
  readonly colourPath: string | null;
}
/** A white of the usual temperatures, or a colour mixed from red, green and blue. */
export declare const ColourField: ({
  label,
  value,
  choices,
  onChoose,
  colourPath,
}: ColourFieldProps) => import('react').JSX.Element;
export {};
