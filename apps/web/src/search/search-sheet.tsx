import { Command } from 'cmdk';
import { Dialog } from 'radix-ui';
import { useContext, useMemo, useRef } from 'react';
import { useNavigate } from 'react-router';
import { useDocument } from '../document/document-store';
import { useChosenIndex } from '../document/selection';
import { useEvaluation } from '../evaluation/evaluation-store';
import { HelpContext } from '../help/help-context';
import { rankOf } from './rank';
import { entriesOf, type SearchEntry } from './search-entries';

const groups: readonly SearchEntry['group'][] = ['Findings', 'Steps', 'Fields', 'Figures', 'Do', 'Guide'];

/** Finds fields, findings, figures, steps, pages of the guide and what can be done, by a few letters of them. */
export const SearchSheet = ({ jobId, onClose }: { readonly jobId: string; readonly onClose: () => void }) => {
  const navigate = useNavigate();
  const index = useChosenIndex();
  const build = useDocument(({ design }) => design?.assemblies[index]?.build);
  const evaluation = useEvaluation((state) => state.evaluation);
  const fields = useContext(HelpContext);
  const found = useRef(false);
  const entries = useMemo(
    () =>
      build === undefined ? [] : entriesOf({ jobId, build, chosen: index, evaluation, fields: [...fields.values()] }),
    [jobId, build, index, evaluation, fields],
  );
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <Dialog.Content
          aria-describedby={undefined}
          onCloseAutoFocus={(event) => {
            // What was found takes the focus; put away, the page has it back.
            if (found.current) event.preventDefault();
          }}
          className="fixed top-[12vh] left-1/2 z-50 w-[92vw] max-w-xl -translate-x-1/2 border border-ink bg-sheet shadow-xl"
        >
          <Dialog.Title className="sr-only">Find</Dialog.Title>
          <Command label="Find" filter={(_, asked, [title = '', detail = ''] = []) => rankOf(asked, title, detail)}>
            <Command.Input
              placeholder="A field, a finding, a step, something to do …"
              className="w-full border-b border-line bg-transparent px-4 py-3 text-base outline-none"
            />
            <Command.List className="max-h-[60vh] overflow-y-auto p-1">
              <Command.Empty className="px-3 py-4 text-soft">
                Nothing is called that. Try another word for it, or open the guide.
              </Command.Empty>
              {groups.map((group) => (
                <Command.Group
                  key={group}
                  heading={group}
                  className="[&_[cmdk-group-heading]]:px-2 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-xs [&_[cmdk-group-heading]]:text-soft"
                >
                  {entries
                    .filter((entry) => entry.group === group)
                    .map(({ id, title, detail, run }) => (
                      <Command.Item
                        key={id}
                        value={id}
                        keywords={[title, detail]}
                        onSelect={() => {
                          found.current = true;
                          onClose();
                          run((path) => void navigate(path));
                        }}
                        className="flex cursor-default items-baseline gap-3 rounded-[2px] px-2 py-1 data-[selected=true]:bg-ink data-[selected=true]:text-sheet"
                      >
                        <span className="shrink-0 font-semibold">{title}</span>
                        <span className="min-w-0 truncate text-[13px] opacity-75">{detail}</span>
                      </Command.Item>
                    ))}
                </Command.Group>
              ))}
            </Command.List>
          </Command>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
};
