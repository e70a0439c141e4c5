import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { selectNext } from '../document/selection';
import { redo, undo } from '../document/document-store';
import { toggleOverlay, toggleViewer, useView } from '../view/view-store';
import { workSteps } from '../steps/step-names';

/** Our keys, told to whoever presses ?. */
export const keys: readonly (readonly [string, string])[] = [
  ['1 … 9, 0', 'walk the work line'],
  ['/', 'find a field, a finding, a step, something to do'],
  ['L', 'lights on or off'],
  ['C', 'as a camera exposed for the glow, or as the eye sees it'],
  ['S', 'strip over the sign'],
  ['F', 'false colour'],
  ['A', 'the next assembly; with Shift the one before'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z', 'redo'],
  ['arrows', 'in a length field or on a handle: by 1 mm; with Shift by 10'],
  ['F1', 'what fields mean, told or not'],
  ['?', 'this list'],
];

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && (target.matches('input, textarea, select') || target.isContentEditable);

interface ShortcutCalls {
  readonly onHelp: () => void;
  readonly onFind: () => void;
}

/** Keys of the job page; none while typing, but undo and redo. */
export const useShortcuts = (jobId: string, { onHelp, onFind }: ShortcutCalls): void => {
  const navigate = useNavigate();
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.key === 'F1') {
        event.preventDefault();
        useView.setState(({ help }) => ({ help: !help }));
        return;
      }
      const command = event.ctrlKey || event.metaKey;
      if (isTyping(event.target) || event.altKey) return;
      if (command && event.key.toLowerCase() === 'z') {
        event.preventDefault();
        if (event.shiftKey) redo();
        else undo();
      }
      if (command) return;
      // The tenth step is 0, as it lies on the keys.
      const step = workSteps[(Number(event.key) + 9) % 10];
      if (step !== undefined) void navigate(`/jobs/${jobId}/${step.step}`);
      else if (event.key === '?') onHelp();
      else if (event.key === '/') {
        event.preventDefault();
        onFind();
      } else if (event.key.toLowerCase() === 'l') useView.setState(({ lit }) => ({ lit: !lit }));
      else if (event.key.toLowerCase() === 'c') toggleViewer();
      else if (event.key.toLowerCase() === 's') toggleOverlay('strip');
      else if (event.key.toLowerCase() === 'f') toggleOverlay('false-colour');
      else if (event.key.toLowerCase() === 'a') selectNext(event.shiftKey ? -1 : 1);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [jobId, navigate, onHelp, onFind]);
};
