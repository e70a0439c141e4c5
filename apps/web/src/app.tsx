import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { createBrowserRouter, Navigate, Outlet, useRouteError } from 'react-router';
import { listJobs } from './api/jobs';
import { JobBookPage } from './job-book/job-book-page';
import { JobPage } from './job/job-page';
import { NewJobPage } from './new-job/new-job-page';
import { ErrorSheet } from './pages/error-sheet';
import { NotFoundPage } from './pages/not-found-page';
import { PracticePage } from './practice/practice-page';
import { ShelfPage } from './shelf/shelf-page';
import { useView } from './view/view-store';

const CaughtError = () => <ErrorSheet error={useRouteError()} />;

const Themed = () => {
  const theme = useView((view) => view.theme);
  useEffect(() => {
    document.documentElement.dataset['theme'] = theme;
  }, [theme]);
  return <Outlet />;
};

/** A first visit opens a lit job; later ones the job book. */
const Door = () => {
  const welcomed = useView((view) => view.welcomed);
  const { data, error } = useQuery({ queryKey: ['jobs'], queryFn: listJobs, staleTime: 0, enabled: !welcomed });
  if (welcomed || error !== null) return <Navigate to="/jobs" replace />;
  if (data === undefined)
    return (
      <p className="p-8" role="status">
        Opening …
      </p>
    );
  const first = data.find(({ summary }) => (summary?.counts.fix ?? 0) > 0) ?? data[0];
  return <Navigate to={first === undefined ? '/jobs' : `/jobs/${first.id}/face`} replace />;
};

export const router = createBrowserRouter([
  {
    element: <Themed />,
    errorElement: <CaughtError />,
    children: [
      { path: '/', element: <Door /> },
      { path: '/jobs', element: <JobBookPage /> },
      { path: '/jobs/new', element: <NewJobPage /> },
      { path: '/jobs/:jobId/:step?', element: <JobPage /> },
      { path: '/shelf', element: <ShelfPage /> },
      { path: '/practice', element: <PracticePage /> },
      { path: '*', element: <NotFoundPage /> },
    ],
  },
]);
