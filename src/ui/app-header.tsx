import { ChevronLeft } from 'lucide-react';
import { Link } from './link';
import type { ReactNode } from 'react';
import clsx from 'clsx';
import { HeaderAside } from './header-aside';

/** The screens of a build in the order of work. A screen joins the navigation here when it is built. */
const SCREENS = [
  { name: 'Inspect', path: '/inspect' },
  { name: 'Brief', path: '/brief' },
  { name: 'Bench', path: '' },
  { name: 'Fit', path: '/fit' },
  { name: 'Colour', path: '/colour' },
  { name: 'Parts', path: '/parts' },
  { name: 'Tally', path: '/tally' },
] as const;
const WORKSPACE = [
  { name: 'Builds', path: '/builds' },
  { name: 'Own parts', path: '/own-parts' },
  { name: 'Prices', path: '/prices' },
  { name: 'Settings', path: '/settings' },
] as const;
export type ScreenName = (typeof SCREENS)[number]['name'];

interface HeaderProps {
  readonly build?: { readonly id: string; readonly name: string; readonly says: string };
  readonly screen?: ScreenName | 'Builds' | 'Own parts' | 'Prices' | 'Settings' | 'Import';
  readonly children?: ReactNode;
}

/** The one bar at the top of every screen. */
export function AppHeader({ build, screen, children }: HeaderProps) {
  return (
    <header className="border-rule bg-paper no-print flex min-h-11 items-center gap-x-5 border-b px-4 py-1 max-lg:flex-wrap max-sm:gap-x-1 max-sm:px-2">
      <Link
        href="/builds"
        aria-label={build ? 'Evarn, all builds' : undefined}
        className="font-head inline-flex items-center text-[18px] font-bold"
      >
        {/* A phone's bar has room for a build's name or for Evarn's. */}
        {build && <ChevronLeft size={20} aria-hidden className="sm:hidden" />}
        <span className={clsx(build && 'max-sm:hidden')}>Evarn</span>
      </Link>
      {build ? (
        <p className="text-faint min-w-20 flex-1 truncate">
          <span className="max-sm:hidden">
            <Link href="/builds" className="hover:underline">
              Builds
            </Link>
            {' / '}
          </span>
          <bdi className="text-ink font-semibold">{build.name}</bdi>
          {build.says && (
            <span className="hidden md:inline">
              {' · '}
              <bdi>{build.says}</bdi>
            </span>
          )}
        </p>
      ) : (
        <span className="flex-1" />
      )}
      <nav
        aria-label={build ? 'Screens of this build' : 'Screens'}
        className="flex min-w-0 items-center gap-1 overflow-x-auto max-lg:order-last max-lg:basis-full max-lg:justify-between"
      >
        {build
          ? SCREENS.map((s) => (
              <Tab
                key={s.name}
                href={`/builds/${build.id}${s.path}`}
                name={s.name}
                here={s.name === screen}
              />
            ))
          : WORKSPACE.map(({ name, path }) => (
              <Tab key={name} href={path} name={name} here={name === screen} />
            ))}
      </nav>
      {children}
      <HeaderAside />
    </header>
  );
}

function Tab({ href, name, here }: { href: string; name: string; here: boolean }) {
  return (
    <Link
      href={href}
      aria-current={here ? 'page' : undefined}
      className={clsx(
        'inline-flex items-center rounded-md px-2.5 py-1.5 whitespace-nowrap max-sm:px-1.5',
        here ? 'bg-ink text-sheet font-semibold' : 'text-soft hover:bg-wash',
      )}
    >
      {name}
    </Link>
  );
}
