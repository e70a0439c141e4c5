import { queryOptions, useQuery } from '@tanstack/react-query';
import { lessonsFor, type Met } from '@vitrum/core';
import { Lightbulb } from 'lucide-react';
import { getLessons } from '../api/records';

/** Lessons are asked for once in a while; where the server is away there are none. */
export const lessonsQuery = queryOptions({
  queryKey: ['lessons'],
  queryFn: getLessons,
  staleTime: 30_000,
  retry: false,
});

/** What the shop learned where this was met before. */
export const LessonsHere = ({ met }: { readonly met: Met }) => {
  const { data } = useQuery(lessonsQuery);
  const found = lessonsFor(data ?? [], met);
  if (found.length === 0) return null;
  return (
    <ul aria-label="Learned here" className="border-l-4 border-lamp bg-sheet">
      {found.map(({ id, words, by }) => (
        <li key={id} className="flex gap-2 px-3 py-1.5">
          <Lightbulb size={16} aria-hidden className="mt-0.5 shrink-0" />
          <span>
            {words} {by !== '' && <span className="text-[13px] text-soft">{by}</span>}
          </span>
        </li>
      ))}
    </ul>
  );
};
