import { useRouteError } from 'react-router';
import { LinkButton } from '../ui/button.js';
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

/** While the first page's code is fetched. */
export function Opening() {
  return <Loading what="the page" />;
}

export function PageFailed() {
  const error = useRouteError();
  const words = error instanceof Error ? error.message : 'the page could not be drawn';
  return (
    <main className="p-6" role="alert">
      <h1 className="text-[26px]">This page failed</h1>
      <p className="my-4">Nothing that you saved is lost. What failed: {words}</p>
      <LinkButton to="/" reloadDocument>
        Load the Round again
      </LinkButton>
    </main>
  );
}
