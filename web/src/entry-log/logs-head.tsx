import { NavLink } from 'react-router';
import { useMayOpen } from '../ui/may.js';
import { PageTitle } from '../ui/page-title.js';
import { LOGS } from './log-words.js';

const PAGES = [
  { to: '/logs/notebook', words: 'A notebook' },
  ...Object.entries(LOGS).map(([name, { title }]) => ({ to: `/logs/${name}`, words: title })),
];

/** The way between the logs, and the name of the one that is open. */
export function LogsHead({ title }: { title: string }) {
  const mayOpen = useMayOpen();
  return (
    <>
      <PageTitle title={title} />
      <nav aria-label="Logs" className="flex flex-wrap gap-x-5 text-[15px]">
        {PAGES.filter(({ to }) => mayOpen(to)).map(({ to, words }) => (
          <NavLink
            key={to}
            to={to}
            className={({ isActive }) =>
              `flex min-h-11 items-center border-b-2 text-ink no-underline ${isActive ? 'border-oil font-semibold' : 'border-transparent'}`
            }
          >
            {words}
          </NavLink>
        ))}
      </nav>
      <h1 className="mt-2 text-[28px]">{title}</h1>
    </>
  );
}
