import { useId, useState, type ReactNode } from 'react';
import { Link, useLocation } from 'react-router';

export interface SectionName {
  readonly id: string;
  readonly title: string;
}

/** The ways down the page; they stay in view. */
export function JumpList({ sections }: { sections: readonly SectionName[] }) {
  const { hash } = useLocation();
  const here = sections.find(({ id }) => hash === `#${id}`) ?? sections[0];
  return (
    <nav
      aria-label="On this page"
      className="no-print sticky top-0 z-10 -mx-4 mt-3 flex gap-x-5 overflow-x-auto border-b border-rule bg-ground px-4 wide:-mx-6 wide:px-6"
    >
      {sections.map((section) => (
        <Link
          key={section.id}
          to={`#${section.id}`}
          replace
          aria-current={section === here ? 'location' : undefined}
          className={`flex min-h-11 shrink-0 items-center border-b-4 pt-1 text-[15px] no-underline ${section === here ? 'border-oil font-semibold text-ink' : 'border-transparent text-ink-2 hover:text-ink'}`}
        >
          {section.title}
        </Link>
      ))}
    </nav>
  );
}

/** Room for the list above what is jumped to. */
const JUMPED_TO = 'scroll-mt-16';

export function Section({ id, title, children }: SectionName & { children: ReactNode }) {
  return (
    <section id={id} className={`mt-6 ${JUMPED_TO}`}>
      <h2 className="mb-1 text-[20px]">{title}</h2>
      {children}
    </section>
  );
}

/** One line until it is opened, by its own line or from the list of ways down. */
export function FoldedSection({ id, title, says, children }: SectionName & { says: string; children: ReactNode }) {
  const { hash, key } = useLocation();
  const [chosen, setChosen] = useState<{ readonly open: boolean; readonly at: string } | null>(null);
  const contentId = useId();
  // Whoever jumps to it wants to see it; a later click on its line counts more.
  const open = chosen && (chosen.at === key || hash !== `#${id}`) ? chosen.open : hash === `#${id}`;
  return (
    <section id={id} className={`border-b border-rule ${JUMPED_TO}`}>
      <h2 className="text-[18px]">
        <button
          type="button"
          aria-expanded={open}
          aria-controls={contentId}
          onClick={() => setChosen({ open: !open, at: key })}
          className="grid min-h-12 w-full grid-cols-[1fr_auto] items-baseline gap-x-4 py-3 text-left wide:grid-cols-[12rem_1fr_auto]"
        >
          <span>{title}</span>
          <span className="col-span-2 row-start-2 font-sans text-[15px] font-normal text-ink-2 wide:col-span-1 wide:row-start-auto">
            {says}
          </span>
          <span className="no-print col-start-2 row-start-1 font-sans text-[15px] font-normal text-ink-2 wide:col-start-3">
            {open ? 'close' : 'open'}
          </span>
        </button>
      </h2>
      {open && (
        <div id={contentId} className="pb-5">
          {children}
        </div>
      )}
    </section>
  );
}
