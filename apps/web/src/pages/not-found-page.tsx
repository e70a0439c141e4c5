import { Link } from 'react-router';

export const NotFoundPage = ({ what = 'There is no page here.' }: { readonly what?: string }) => (
  <main className="mx-auto flex max-w-lg flex-col gap-3 p-10">
    <h1 className="text-xl font-bold">Not found</h1>
    <p>{what} It may have been mistyped, or the link is old.</p>
    <p>
      <Link to="/jobs" className="underline">
        To the job book
      </Link>
    </p>
  </main>
);
