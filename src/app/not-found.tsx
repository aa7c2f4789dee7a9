import { Link } from '@/ui/link';
import { AppHeader } from '@/ui/app-header';

export default function NotFound() {
  return (
    <>
      <AppHeader />
      <main className="mx-auto max-w-xl px-4 py-16">
        <h1 className="text-[24px]">That is not here.</h1>
        <p className="text-soft mt-2">
          The page or build may have been deleted.{' '}
          <Link href="/" className="underline">
            Go to the list of builds
          </Link>
          .
        </p>
      </main>
    </>
  );
}
