import { PageHead } from '../ui/page-head.js';
import { PageTitle } from '../ui/page-title.js';
import { ClaimForm } from './code-page.js';

/** At this machine alone whoever sits at it may say that from now on people sign in. */
export function FirstOwnerPage() {
  return (
    <main className="mx-auto flex w-full max-w-[760px] flex-col gap-6 px-4 pb-10 pt-4">
      <PageTitle title="The first owner" />
      <PageHead back="/people" above="People and doors">
        The first owner
      </PageHead>
      <div className="flex max-w-[440px] flex-col gap-5">
        <ClaimForm code={null} />
      </div>
    </main>
  );
}
