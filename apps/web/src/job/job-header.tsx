import { ambients, type Ambient } from '@vitrum/core';
import { ChartScatter, Package, Redo2, Search, Undo2 } from 'lucide-react';
import { Link, NavLink } from 'react-router';
import { redo, undo, useDocument } from '../document/document-store';
import { cancelZip, saveZip, useFiles } from '../files/files-store';
import type { ZipKind } from '../files/make-zip';
import { Button } from '../ui/button';
import { useView } from '../view/view-store';
import { useCatalogue } from './catalogue-context';
import { JobMenu } from './job-menu';
import { SaveNote } from './save-note';
import { useParts } from '../view/use-parts';
import { Hint } from '../ui/hint';
import { Ways } from '../ui/ways';

const names: Readonly<Record<Ambient, string>> = {
  noon: 'Noon',
  overcast: 'Overcast',
  shop: 'Shop',
  evening: 'Dusk',
  dark: 'Dark',
};

const AmbientChoice = () => {
  const { ambient, lit } = useParts(useView, 'ambient', 'lit');
  return (
    <div className="flex items-stretch">
      <Ways
        label="Light of the place"
        value={ambient}
        options={ambients.map((value) => ({ value, label: names[value] }))}
        onChoose={(chosen) => useView.setState({ ambient: chosen })}
      />
      <Hint says="Lights on or off (key L)">
        <button
          type="button"
          aria-pressed={lit}
          onClick={() => useView.setState({ lit: !lit })}
          className="ml-2 flex items-center gap-1.5 rounded-[3px] border border-line px-2 hover:border-soft"
        >
          <span
            aria-hidden
            className={`h-2.5 w-2.5 rounded-full border ${lit ? 'border-lamp bg-lamp' : 'border-soft'}`}
          />
          {lit ? 'Lit' : 'Unlit'}
        </button>
      </Hint>
    </div>
  );
};

const makingNames: Readonly<Record<ZipKind, string>> = { pack: 'Packing …', maps: 'Lighting in full …' };

const BenchPack = () => {
  const { busy, problem } = useParts(useFiles, 'busy', 'problem');
  const catalogue = useCatalogue();
  return (
    <>
      {busy === null ? (
        <Hint says="Drawings, templates, lists and the design in one ZIP">
          <Button look="strong" onClick={() => void saveZip('pack', catalogue)}>
            <Package size={15} aria-hidden /> Bench pack
          </Button>
        </Hint>
      ) : (
        <span role="status" className="flex items-center gap-2 text-[13px]">
          {makingNames[busy]}
          <Button onClick={cancelZip}>Cancel</Button>
        </span>
      )}
      {problem !== null && (
        <span role="alert" className="text-[13px] text-signal">
          {problem}
        </span>
      )}
    </>
  );
};

interface JobHeaderProps {
  readonly jobId: string;
  readonly onHelp: () => void;
  readonly onFind: () => void;
}

export const JobHeader = ({ jobId, onHelp, onFind }: JobHeaderProps) => {
  const name = useDocument((state) => state.design?.name);
  const past = useDocument(({ history }) => history.past.length);
  const future = useDocument(({ history }) => history.future.length);
  return (
    <header className="no-print flex min-h-12 shrink-0 flex-wrap items-center gap-x-3 gap-y-1 border-b border-line px-4 py-1.5">
      <Link to="/jobs" className="flex items-center gap-2 font-bold">
        <img src="/mark.svg" alt="" className="h-6 max-w-none" /> <span className="max-xl:sr-only">Vitrum</span>
      </Link>
      <p className="flex min-w-0 flex-1 items-center gap-2">
        <Link
          to="/jobs"
          className="text-[13px] whitespace-nowrap text-soft underline-offset-2 hover:underline max-xl:hidden"
        >
          Job book
        </Link>
        <span aria-hidden className="text-soft max-xl:hidden">
          /
        </span>
        <strong className="truncate">{name}</strong>
        <SaveNote />
      </p>
      <AmbientChoice />
      <div className="flex items-center">
        <Hint says="Undo (Ctrl Z)">
          <Button look="quiet" aria-label="Undo" disabled={past === 0} onClick={undo}>
            <Undo2 size={17} aria-hidden />
          </Button>
        </Hint>
        <Hint says="Redo (Ctrl Shift Z)">
          <Button look="quiet" aria-label="Redo" disabled={future === 0} onClick={redo}>
            <Redo2 size={17} aria-hidden />
          </Button>
        </Hint>
      </div>
      <Hint says="Find a field, a finding, a step (/)">
        <Button look="quiet" aria-label="Find" onClick={onFind}>
          <Search size={17} aria-hidden />
        </Button>
      </Hint>
      <NavLink
        to={`/jobs/${jobId}/tryouts`}
        className={({ isActive }) =>
          `inline-flex min-h-7 items-center gap-1.5 rounded-[3px] border border-ink px-2.5 pt-[5px] pb-[3px] font-semibold hover:bg-paper ${isActive ? 'bg-paper' : 'bg-sheet'}`
        }
      >
        <ChartScatter size={15} aria-hidden /> <span className="max-sm:sr-only">Try-outs</span>
      </NavLink>
      <BenchPack />
      <JobMenu jobId={jobId} onHelp={onHelp} />
    </header>
  );
};
