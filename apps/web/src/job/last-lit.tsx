import { useQuery } from '@tanstack/react-query';
import type { DesignSummary } from '@vitrum/contract';
import { Link } from 'react-router';
import { WallPicture } from '../ui/wall-picture';
import { JobFrame } from './job-frame';
import { jobQuery } from './job-query';

/** The sign as it was lit when it was last saved, said to be so, while its light is worked out anew. */
export const LastPicture = ({ summary }: { readonly summary: DesignSummary | null }) => (
  <div
    role="status"
    className="lamp-room relative flex min-h-[220px] flex-1 items-end justify-center overflow-hidden bg-[#1d1c1a] pb-10 text-[#e9e2d2]"
  >
    {summary?.thumbnail && (
      <WallPicture
        src={summary.thumbnail}
        alt="The sign as last saved, at dusk"
        testId="last-picture"
        className="absolute inset-0 p-10"
      />
    )}
    <p className="relative rounded-[2px] bg-black/55 px-2 text-[13px]">
      {!summary?.thumbnail ? 'Lighting the sign …' : 'As last saved, at dusk; lighting it now …'}
    </p>
  </div>
);

/** The figures of the last save, in grey until they are worked out anew. */
export const LastFigures = ({ summary }: { readonly summary: DesignSummary | null }) => (
  <section
    aria-label="Figures as last saved"
    aria-busy
    className="no-print relative flex min-h-[64px] shrink-0 overflow-x-auto border-t border-line bg-sheet text-soft"
  >
    {summary !== null && summary.figures.length > 0 && (
      <p className="w-16 shrink-0 self-center border-r border-line pl-3 text-xs leading-tight">as last saved</p>
    )}
    {summary?.figures.map(({ id, text, label }) => (
      <p key={id} className="min-w-[124px] flex-1 border-r border-line px-3 py-1.5 last:border-r-0">
        <span className="figure block text-[16px] leading-tight font-semibold whitespace-nowrap">{text}</span>
        <span className="block text-xs leading-[1.2]">{label}</span>
      </p>
    ))}
  </section>
);

/** A job while its page is on the way: its name, its last picture and its last figures. */
export const LastLit = ({ jobId }: { readonly jobId: string }) => {
  const { data: job } = useQuery(jobQuery(jobId));
  const summary = job?.summary ?? null;
  return (
    <JobFrame
      header={
        <header className="no-print flex min-h-12 shrink-0 items-center gap-x-3 border-b border-line px-4 py-1.5">
          <Link to="/jobs" className="flex items-center gap-2 font-bold">
            <img src="/mark.svg" alt="" className="h-6" /> Vitrum
          </Link>
          <strong className="truncate">{job?.name ?? 'Opening the job …'}</strong>
        </header>
      }
      line={<div className="w-[166px] shrink-0 border-r border-line max-lg:hidden" />}
      tape={<LastFigures summary={summary} />}
    >
      <main className="flex min-w-0 flex-1 flex-col max-lg:min-h-[560px]">
        <LastPicture summary={summary} />
        <div className="h-[262px] shrink-0 border-t border-line bg-sheet" />
      </main>
      <div className="w-[332px] shrink-0 border-l border-line max-lg:hidden" />
    </JobFrame>
  );
};
