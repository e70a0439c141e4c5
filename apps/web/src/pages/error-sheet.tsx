import { Link } from 'react-router';
import { ServerAway } from '../api/client';
import { Button } from '../ui/button';

/** Something failed: what, and what to do. */
export const ErrorSheet = ({ error }: { readonly error: unknown }) => {
  const away = error instanceof ServerAway;
  return (
    <main className="mx-auto flex max-w-lg flex-col gap-3 p-10">
      <h1 className="text-xl font-bold">{away ? 'The server does not answer' : 'Something went wrong'}</h1>
      <p>
        {away
          ? 'What you had not saved is kept in this browser. Start the server again, then try once more.'
          : `${error instanceof Error ? error.message : String(error)}. Your saved work is safe.`}
      </p>
      <p className="flex gap-2">
        <Button look="strong" onClick={() => window.location.reload()}>
          Try again
        </Button>
        <Link to="/jobs" className="self-center underline">
          To the job book
        </Link>
      </p>
    </main>
  );
};
