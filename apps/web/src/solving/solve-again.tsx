import { setByHand } from '@vitrum/core';
import { WandSparkles } from 'lucide-react';
import { useState } from 'react';
import { setDesign, useDocument } from '../document/document-store';
import { useChosenIndex } from '../document/selection';
import { useCatalogue } from '../job/catalogue-context';
import { Button } from '../ui/button';
import { chooseDesign } from './choose';

/** What Vitrum chose and why, and the button that has it choose again; what was set by hand since is kept. */
export const SolveAgain = () => {
  const catalogue = useCatalogue();
  const index = useChosenIndex();
  const design = useDocument((state) => state.design);
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  if (design === null) return null;
  const kept = setByHand(design).length;
  const run = async (): Promise<void> => {
    setBusy(true);
    setFailed(null);
    try {
      const { design: solved } = await chooseDesign(catalogue, design, index);
      // What was edited meanwhile counts: nothing of it is overwritten.
      if (useDocument.getState().design === design) setDesign(solved);
      else setFailed('The design was changed meanwhile; it is as you left it.');
    } catch (error) {
      setFailed(error instanceof Error ? error.message : String(error));
    } finally {
      setBusy(false);
    }
  };
  return (
    <div className="mb-3 border border-line bg-sheet px-3 py-2 text-[13px]">
      {design.solved !== undefined && (
        <p className="mb-1.5 text-soft">
          <span className="font-semibold text-ink">Last choice:</span> {design.solved.sentence}
        </p>
      )}
      <Button disabled={busy} onClick={() => void run()}>
        <WandSparkles size={14} aria-hidden /> {busy ? 'Choosing …' : 'Choose strip, depth and supplies for me'}
      </Button>
      {kept > 0 && (
        <p className="mt-1 text-xs text-soft">
          Keeps {kept === 1 ? 'the field' : `the ${kept} fields`} that you set by hand.
        </p>
      )}
      {failed !== null && (
        <p role="alert" className="mt-1 font-semibold text-signal">
          {failed}
        </p>
      )}
    </div>
  );
};
