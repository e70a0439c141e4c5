import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import {
  createBrowserRouter,
  Navigate,
  Outlet,
  useRouteError,
  type LoaderFunctionArgs,
  type ShouldRevalidateFunctionArgs,
} from 'react-router';
import { listJobs } from './api/jobs';
import { JobShell } from './job/job-shell';
import { startJob } from './job/start-job';
import { ErrorSheet } from './pages/error-sheet';
import { NotFoundPage } from './pages/not-found-page';
import { useView } from './view/view-store';

const CaughtError = () => <ErrorSheet error={useRouteError()} />;

const Themed = () => {
  const theme = useView((view) => view.theme);
  useEffect(() => {
    document.documentElement.dataset['theme'] = theme;
  }, [theme]);
  return <Outlet />;
};

const Opening = () => (
  <p className="p-8" role="status">
    Opening …
  </p>
);

/** A first visit opens a lit job; later ones the job book. */
const Door = () => {
  const welcomed = useView((view) => view.welcomed);
  const { data, error } = useQuery({
    queryKey: ['first jobs'],
    queryFn: () => listJobs(),
    staleTime: 0,
    enabled: !welcomed,
  });
  if (welcomed || error !== null) return <Navigate to="/jobs" replace />;
  if (data === undefined) return <Opening />;
  const first = data.jobs.find(({ summary }) => (summary?.counts.fix ?? 0) > 0) ?? data.jobs[0];
  return <Navigate to={first === undefined ? '/jobs' : `/jobs/${first.id}`} replace />;
};

/** Pages that are fetched when they are first gone to. */
const pages = {
  jobBook: () => import('./job-book/job-book-page').then(({ JobBookPage: Component }) => ({ Component })),
  newJob: () => import('./new-job/new-job-page').then(({ NewJobPage: Component }) => ({ Component })),
  quote: () => import('./quote/quote-page').then(({ QuotePage: Component }) => ({ Component })),
  offer: () => import('./quote/offer-page').then(({ OfferPage: Component }) => ({ Component })),
  plan: () => import('./plan/plan-page').then(({ PlanPage: Component }) => ({ Component })),
  shelf: () => import('./shelf/shelf-page').then(({ ShelfPage: Component }) => ({ Component })),
  stock: () => import('./stock/stock-page').then(({ StockPage: Component }) => ({ Component })),
  records: () => import('./records/records-page').then(({ RecordsPage: Component }) => ({ Component })),
  guide: () => import('./guide/guide-page').then(({ GuidePage: Component }) => ({ Component })),
  practice: () => import('./practice/practice-page').then(({ PracticePage: Component }) => ({ Component })),
};

/** All that a job’s page waits for is begun before any of it is drawn. */
const beginJob = ({ params }: LoaderFunctionArgs): null => {
  if (params['jobId'] !== undefined) startJob(params['jobId']);
  return null;
};

/** Going from step to step begins nothing. */
const isOtherJob = ({ currentParams, nextParams }: ShouldRevalidateFunctionArgs): boolean =>
  currentParams['jobId'] !== nextParams['jobId'];

export const router = createBrowserRouter([
  {
    element: <Themed />,
    errorElement: <CaughtError />,
    HydrateFallback: Opening,
    children: [
      { path: '/', element: <Door /> },
      { path: '/jobs', lazy: pages.jobBook },
      { path: '/jobs/new', lazy: pages.newJob },
      { path: '/jobs/:jobId/:step?', loader: beginJob, shouldRevalidate: isOtherJob, element: <JobShell /> },
      { path: '/plan', lazy: pages.plan },
      { path: '/quotes/:jobId', lazy: pages.quote },
      { path: '/offer/:token', lazy: pages.offer },
      { path: '/shelf', lazy: pages.shelf },
      { path: '/stock', lazy: pages.stock },
      { path: '/records', lazy: pages.records },
      { path: '/practice', lazy: pages.practice },
      { path: '/guide/:build?', lazy: pages.guide },
      { path: '*', element: <NotFoundPage /> },
    ],
  },
]);
