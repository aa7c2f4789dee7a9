'use client';

/**
 * The first thing the Tab key comes to: past the bars, to what the page is about. A page that is opened by a click gives it
 * the focus as well; it shows itself to keys only, since it stands on the name.
 */
export const SkipLink = () => (
  <nav aria-label="Skip" data-skip>
    <a
      href="#main"
      onClick={(e) => {
        e.preventDefault();
        const line = document.getElementById('log-line');
        const main = document.querySelector('main');
        main?.setAttribute('tabindex', '-1');
        (line ?? main)?.focus();
      }}
      className="bg-ink text-sheet sr-only z-50 rounded-md px-3 py-2 focus-visible:not-sr-only focus-visible:fixed focus-visible:top-2 focus-visible:left-2"
    >
      Skip the bars
    </a>
  </nav>
);
