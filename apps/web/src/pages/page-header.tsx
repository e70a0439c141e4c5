import { shopName } from '@vitrum/core';
import { Link, NavLink } from 'react-router';

const links = [
  { to: '/jobs', name: 'Job book' },
  { to: '/plan', name: 'Plan' },
  { to: '/shelf', name: 'Shelf' },
  { to: '/stock', name: 'Stock' },
  { to: '/records', name: 'Records' },
  { to: '/practice', name: 'Practice' },
  { to: '/guide', name: 'Guide' },
] as const;

/** The head of every page that is not a job. */
export const PageHeader = () => (
  <header className="flex min-h-12 items-center gap-5 border-b border-line px-4 py-1.5">
    <Link to="/jobs" className="flex items-center gap-2 font-bold">
      <img src="/mark.svg" alt="" className="h-6 max-w-none" /> <span className="max-sm:sr-only">Vitrum</span>
    </Link>
    <nav aria-label="Pages" className="flex flex-wrap gap-x-4">
      {links.map(({ to, name }) => (
        <NavLink
          key={to}
          to={to}
          end={to === '/jobs'}
          className={({ isActive }) =>
            `border-b-[3px] py-1 whitespace-nowrap ${isActive ? 'border-ink font-bold' : 'border-transparent hover:border-line'}`
          }
        >
          {name}
        </NavLink>
      ))}
    </nav>
    <p className="ml-auto text-[13px] text-soft max-md:hidden">{shopName}</p>
  </header>
);
