import { Search, SlidersHorizontal } from 'lucide-react';
import { lazy, Suspense, useEffect, useMemo, useState } from 'react';
import { Link, NavLink, Outlet, ScrollRestoration, useLocation } from 'react-router';
import { Hatches } from '../ui/hatches.js';
import { Banners } from './banners.js';
import { Logo } from '../ui/logo.js';
import type { Overlaid } from './overlay.js';
import { useAppSelector } from '../device/store.js';
import { useWho } from '../device/use-who.js';
import { useDoor } from '../device/use-door.js';
import { useLetters } from '../device/use-letters.js';
import { May, type Needed } from '../ui/may.js';
import { NotForYou } from './page-fallbacks.js';
import { neededByPage } from './page-rights.js';

/** What lies over the page comes after it. */
const loadOverlay = () => import('./overlay.js');
const Overlay = lazy(loadOverlay);
const Toasts = lazy(() => import('./toasts.js'));
const SignInPage = lazy(() => import('../people/sign-in-page.js'));

/** Only what works is in the navigation. */
const PAGES = [
  { to: '/', words: 'Round', wideOnly: false },
  { to: '/store', words: 'Oil store', wideOnly: false },
  { to: '/set-up', words: 'Set-up', wideOnly: false },
  // On a phone these two stand in the set-up's list.
  { to: '/logs/runs', words: 'Logs', wideOnly: true },
  { to: '/backup', words: 'Backup', wideOnly: true },
] as const;

function useTheme(): void {
  const theme = useAppSelector((s) => s.prefs.theme);
  useEffect(() => {
    const query = matchMedia('(prefers-color-scheme: dark)');
    const apply = () => {
      document.documentElement.dataset.theme =
        theme === 'dark' || (theme === 'system' && query.matches) ? 'dark' : 'light';
    };
    apply();
    query.addEventListener('change', apply);
    return () => query.removeEventListener('change', apply);
  }, [theme]);
}

const navClass = ({ isActive }: { isActive: boolean }): string =>
  `h-full min-w-11 shrink-0 items-center justify-center border-b-4 pt-1 no-underline ${isActive ? 'border-oil font-semibold text-ink' : 'border-transparent text-ink-2 hover:text-ink'}`;

/** Head with navigation and search, the page, and what may lie over it. */
export function Shell() {
  const [open, setOpen] = useState<Overlaid | null>(null);
  const prefs = useAppSelector((s) => s.prefs);
  const who = useWho();
  useTheme();
  useLetters({ '/': () => setOpen('palette'), '?': () => setOpen('keys') });
  // Fetched ahead, so that what is typed right after "/" is not lost; what does not come says so when it is opened.
  useEffect(() => {
    loadOverlay()
      .then(({ loadPalette }) => loadPalette())
      .catch(() => {});
  }, []);
  const close = () => setOpen(null);
  const isShut = useAppSelector((s) => s.door.isShut);
  const rights = useDoor()?.rights;
  const may = useMemo(() => {
    // Yes until it is known: the server asks again anyway.
    const mayDo = (needed: Needed) => [needed].flat().every((right) => rights?.includes(right) ?? true);
    return { do: mayDo, open: (path: string) => mayDo(neededByPage(path)) };
  }, [rights]);
  const { pathname } = useLocation();
  if (isShut)
    return (
      <div className="flex min-h-dvh flex-col">
        <Suspense fallback={null}>
          <SignInPage />
        </Suspense>
      </div>
    );
  return (
    <May value={may}>
      <div className="flex min-h-dvh flex-col">
        <a href="#page" className="sr-only focus:not-sr-only focus:absolute focus:z-10 focus:bg-sheet focus:p-3">
          Skip to the page
        </a>
        <Hatches />
        <header className="no-print flex h-14 items-stretch gap-5 border-b-2 border-ink bg-sheet px-4 wide:px-5">
          <Link to="/" className="flex items-center gap-3 font-head text-[20px] font-bold text-ink no-underline">
            <Logo />
            <span className="hidden sm:inline">Winter Jar</span>
            <span className="sr-only sm:hidden">Winter Jar</span>
          </Link>
          <nav aria-label="Pages" className="flex items-stretch gap-5">
            {PAGES.filter(({ to }) => may.open(to)).map(({ to, words, wideOnly }) => (
              <NavLink
                key={to}
                to={to}
                end={to === '/'}
                className={(state) => `${navClass(state)} ${wideOnly ? 'hidden sm:flex' : 'flex'}`}
              >
                {words}
              </NavLink>
            ))}
          </nav>
          <div className="ml-auto flex items-center gap-2 wide:gap-4">
            <button
              onClick={() => setOpen('palette')}
              className="flex h-10 min-w-10 items-center justify-center gap-2 rounded-full border border-edge bg-sheet px-3 text-ink-2 wide:w-56 wide:justify-start"
              aria-label="Find or do"
            >
              <Search size={16} aria-hidden="true" />
              <span className="hidden wide:inline">Find or do …</span>
              <kbd className="figure ml-auto hidden rounded-[4px] border border-edge px-1.5 text-[12.5px] wide:inline">
                /
              </kbd>
            </button>
            <button
              onClick={() => setOpen('prefs')}
              className="flex h-10 min-w-10 items-center justify-center gap-2 px-2 text-[14px] text-ink-2"
              aria-label={`Who, units and look: ${who ?? 'nobody chosen'}, ${prefs.pressure}, ${prefs.volume}, ${prefs.temperature}`}
            >
              <SlidersHorizontal size={16} aria-hidden="true" />
              <span className="hidden wide:inline">
                {who && <span className="font-semibold text-ink">{who} · </span>}
                {prefs.pressure} · {prefs.volume} · {prefs.temperature}
              </span>
            </button>
          </div>
        </header>
        <Banners />
        <div id="page" className="flex min-h-0 flex-1 flex-col">
          <Suspense fallback={null}>{may.open(pathname) ? <Outlet /> : <NotForYou />}</Suspense>
        </div>
        <Suspense fallback={null}>
          <Toasts />
        </Suspense>
        <ScrollRestoration />
        <Suspense fallback={null}>{open !== null && <Overlay open={open} close={close} show={setOpen} />}</Suspense>
      </div>
    </May>
  );
}
