import { useRouteError } from 'react-router';
import { Button, LinkButton } from '../ui/button.js';
import { Loading } from '../ui/page-state.js';
import { PageTitle } from '../ui/page-title.js';

export function NotFound() {
  return (
    <main className="p-6">
      <PageTitle title="No such page" />
      <h1 className="text-[26px]">There is no page at this address</h1>
      <p className="my-4">It may have been typed wrongly, or the pump has another name now.</p>
      <LinkButton to="/">Go to the Round</LinkButton>
    </main>
  );
}

/** A page that the role of whoever is signed in does not open. */
export function NotForYou() {
  return (
    <main className="p-6">
      <PageTitle title="Not for your role" />
      <h1 className="text-[26px]">Your role does not open this page</h1>
      <p className="my-4 max-w-[60ch]">
        What you see and may is said under your name at the top right. An owner of this house can change it. On a tablet
        that is shared, say first who you are.
      </p>
      <LinkButton to="/">Go to the Round</LinkButton>
    </main>
  );
}

/** While the first page's code is fetched. */
export function Opening() {
  return <Loading what="the page" />;
}

/** A part of the page that could not be fetched, in the words of each browser. */
const NOT_FETCHED = /import.*module/i;

export function PageFailed() {
  const error = useRouteError();
  const words = error instanceof Error ? error.message : 'the page could not be drawn';
  return (
    <main className="p-6" role="alert">
      <h1 className="text-[26px]">This page failed</h1>
      <p className="my-4">
        {NOT_FETCHED.test(words)
          ? 'A part of it did not come: there was no connection to the server, or it was updated meanwhile. What you typed is kept on this device.'
          : `Nothing that you saved is lost. What failed: ${words}`}
      </p>
      <div className="flex flex-wrap gap-3">
        <Button look="solid" onClick={() => window.location.reload()}>
          Load this page again
        </Button>
        <LinkButton to="/" reloadDocument>
          Go to the Round
        </LinkButton>
      </div>
    </main>
  );
}
