import { fileName, parseDesign, printDesign, problemLine } from '@vitrum/core';
import { Menu } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useRef, useState, type ChangeEvent } from 'react';
import { useNavigate } from 'react-router';
import { setDesign, useDocument } from '../document/document-store';
import { useChosenIndex } from '../document/selection';
import { saveZip } from '../files/files-store';
import { lazyPart } from '../ui/lazy-part';
import { SheetDialog } from '../ui/sheet-dialog';
import { saveFile } from '../ui/save-file';
import { useView } from '../view/view-store';
import { useCatalogue } from './catalogue-context';
import { useParts } from '../view/use-parts';

const RevisionsDialog = lazyPart(() => import('./revisions-dialog'), 'RevisionsDialog');

const item = 'cursor-default px-3 py-1.5 outline-none data-[highlighted]:bg-paper';

const exportDesign = (): void => {
  const { design } = useDocument.getState();
  if (design !== null) saveFile(`${fileName(design.name)}.json`, printDesign(design), 'application/json');
};

interface JobMenuProps {
  readonly jobId: string;
  readonly onHelp: () => void;
}

/** Less used actions of a job, and how the page looks. */
export const JobMenu = ({ jobId, onHelp }: JobMenuProps) => {
  const { unit, theme } = useParts(useView, 'unit', 'theme');
  const [revisions, setRevisions] = useState(false);
  const [refused, setRefused] = useState<readonly string[]>([]);
  const catalogue = useCatalogue();
  const navigate = useNavigate();
  const index = useChosenIndex();
  const build = useDocument(({ design }) => design?.assemblies[index]?.build);
  const picker = useRef<HTMLInputElement>(null);
  const onFile = async (event: ChangeEvent<HTMLInputElement>): Promise<void> => {
    const file = event.target.files?.[0];
    event.target.value = '';
    if (file === undefined) return;
    const read = parseDesign(await file.text());
    if (read.ok) setDesign(read.value);
    else setRefused(read.problems.map(problemLine));
  };
  return (
    <>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger
          aria-label="Job menu"
          className="rounded-[3px] border border-transparent p-1.5 hover:border-line"
        >
          <Menu size={18} aria-hidden />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content
            align="end"
            sideOffset={6}
            className="z-50 min-w-56 border border-line bg-sheet py-1 shadow-lg"
          >
            <DropdownMenu.Item className={item} onSelect={exportDesign}>
              Save the design as a file
            </DropdownMenu.Item>
            <DropdownMenu.Item className={item} onSelect={() => picker.current?.click()}>
              Open a design file here …
            </DropdownMenu.Item>
            <DropdownMenu.Item className={item} onSelect={() => void saveZip('maps', catalogue)}>
              Save the light maps in full …
            </DropdownMenu.Item>
            <DropdownMenu.Item className={item} onSelect={() => setRevisions(true)}>
              Revisions …
            </DropdownMenu.Item>
            <DropdownMenu.Separator className="my-1 border-t border-line" />
            <DropdownMenu.Item
              className={item}
              onSelect={() => useView.setState({ unit: unit === 'mm' ? 'in' : 'mm' })}
            >
              Show lengths in {unit === 'mm' ? 'inches' : 'millimetres'}
            </DropdownMenu.Item>
            <DropdownMenu.Item
              className={item}
              onSelect={() => useView.setState({ theme: theme === 'light' ? 'dark' : 'light' })}
            >
              {theme === 'light' ? 'Dark page' : 'Light page'}
            </DropdownMenu.Item>
            <DropdownMenu.Item className={item} onSelect={() => void navigate(`/guide/${build ?? ''}`)}>
              Guide to this build
            </DropdownMenu.Item>
            <DropdownMenu.Item className={item} onSelect={onHelp}>
              Keys (?)
            </DropdownMenu.Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      <input
        ref={picker}
        type="file"
        accept=".json,application/json"
        className="hidden"
        aria-label="Design file"
        onChange={(event) => void onFile(event)}
      />
      {revisions && <RevisionsDialog jobId={jobId} onClose={() => setRevisions(false)} />}
      <SheetDialog open={refused.length > 0} onClose={() => setRefused([])} title="That did not work">
        <p className="mb-2">Your design is untouched. What is wrong:</p>
        <ul className="figure list-disc pl-5 text-[13px]">
          {refused.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      </SheetDialog>
    </>
  );
};
