'use client';

/** The first thing the Tab key comes to: past the bars, to what the page is about. */
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
      className="bg-ink text-sheet sr-only z-50 rounded-md px-3 py-2 focus:not-sr-only focus:fixed focus:top-2 focus:left-2"
    >
      Skip the bars
    </a>
  </nav>
);
