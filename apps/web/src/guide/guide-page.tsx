import { allBuilds } from '@vitrum/core';
import { useEffect, useState } from 'react';
import { Link, NavLink, useParams } from 'react-router';
import { allPages } from '../builds';
import { PageHeader } from '../pages/page-header';
import { generalGuide } from './general';
import type { Guide } from './types';

const titleOf = (build: string): string => allBuilds.find(({ name }) => name === build)?.words.name ?? build;

const General = () => (
  <>
    <h1 className="mb-3 text-2xl font-bold">How to work with Vitrum</h1>
    {generalGuide.map(([title, text]) => (
      <section key={title} className="mb-3">
        <h2 className="font-bold">{title}</h2>
        <p>{text}</p>
      </section>
    ))}
  </>
);

const Pictures = ({ guide }: { readonly guide: Guide }) => (
  <div className="my-4 grid gap-4 sm:grid-cols-2">
    {guide.pictures.map(({ file, caption }) => (
      <figure key={file}>
        <img src={`/guide/${file}`} alt={caption} className="w-full border border-line" />
        <figcaption className="mt-1 text-[13px] text-soft">{caption}</figcaption>
      </figure>
    ))}
  </div>
);

const OfBuild = ({ build, guide }: { readonly build: string; readonly guide: Guide }) => (
  <>
    <h1 className="mb-2 text-2xl font-bold">{titleOf(build)}</h1>
    <p className="text-base">{guide.about}</p>
    <Pictures guide={guide} />
    <h2 className="mt-4 mb-1 text-lg font-bold">What decides</h2>
    <ul className="list-disc space-y-1 pl-5">
      {guide.decides.map((text) => (
        <li key={text}>{text}</li>
      ))}
    </ul>
    <h2 className="mt-4 mb-1 text-lg font-bold">Order of work</h2>
    <ol className="list-decimal space-y-1 pl-5">
      {guide.order.map(([title, text]) => (
        <li key={title}>
          <b>{title}.</b> {text}
        </li>
      ))}
    </ol>
    <h2 className="mt-4 mb-1 text-lg font-bold">What goes wrong</h2>
    <dl>
      {guide.wrong.map(([seen, cause]) => (
        <div key={seen} className="grid border-b border-line py-1 sm:grid-cols-[220px_1fr]">
          <dt className="font-semibold">{seen}</dt>
          <dd>{cause}</dd>
        </div>
      ))}
    </dl>
    <p className="mt-4 border-l-4 border-caution pl-3 text-[13px]">
      Mains, hard-wired supplies and outdoor signs: local electrical and sign codes, a licensed electrician. Heavy or
      overhead work: a structural professional. Machines by their makers’ manuals.
    </p>
    <p className="mt-4">
      <Link
        to={`/jobs/new?build=${build}`}
        className="inline-flex min-h-8 items-center rounded-[3px] border border-ink bg-ink px-3 font-semibold text-sheet"
      >
        Begin one
      </Link>
    </p>
  </>
);

/** The guide: how Vitrum works, and a page for each build. */
export const GuidePage = () => {
  const { build } = useParams();
  const [loaded, setLoaded] = useState<{ readonly build: string; readonly guide: Guide } | null>(null);
  const page = allPages.find(({ name }) => name === build);
  useEffect(() => {
    document.title = `${build === undefined ? 'Guide' : titleOf(build)} · Vitrum`;
    let gone = false;
    void page?.loadGuide().then(({ guide }) => {
      if (!gone) setLoaded({ build: page.name, guide });
    });
    return () => {
      gone = true;
    };
  }, [build, page]);
  return (
    <>
      <PageHeader />
      <div className="mx-auto grid max-w-5xl gap-6 px-5 py-6 md:grid-cols-[180px_1fr]">
        <nav aria-label="Guide" className="flex flex-wrap gap-x-4 gap-y-1 md:flex-col">
          <NavLink to="/guide" end className="aria-[current=page]:font-bold">
            How to work with Vitrum
          </NavLink>
          {allPages.map(({ name }) => (
            <NavLink key={name} to={`/guide/${name}`} className="aria-[current=page]:font-bold">
              {titleOf(name)}
            </NavLink>
          ))}
        </nav>
        <main className="max-w-[70ch]">
          {page === undefined ? (
            <General />
          ) : loaded?.build === page.name ? (
            <OfBuild build={page.name} guide={loaded.guide} />
          ) : (
            <p role="status">Opening …</p>
          )}
        </main>
      </div>
    </>
  );
};
