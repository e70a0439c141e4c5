import type { ChangeEvent } from 'react';

interface FileButtonProps {
  readonly label: string;
  readonly accept: string;
  readonly onFile: (file: File) => Promise<void>;
}

/** A button that opens a file. */
export const FileButton = ({ label, accept, onFile }: FileButtonProps) => {
  const pick = (event: ChangeEvent<HTMLInputElement>): void => {
    const file = event.target.files?.[0];
    event.target.value = '';
    if (file !== undefined) void onFile(file);
  };
  return (
    <label className="inline-flex min-h-7 cursor-pointer items-center rounded-[3px] border border-ink bg-sheet px-2.5 pt-[5px] pb-[3px] font-semibold whitespace-nowrap focus-within:outline-2 focus-within:outline-lamp hover:bg-paper">
      {label}
      <input type="file" accept={accept} className="sr-only" onChange={pick} />
    </label>
  );
};
