import { useState } from 'react';
import { useAboutQuery, useOpenDemoYardMutation } from '../api/house-api.js';
import { Empty } from '../ui/page-state.js';
import { PageTitle } from '../ui/page-title.js';
import { Button, LinkButton } from '../ui/button.js';
import { useMayDo } from '../ui/may.js';

/** An empty house: three ways to begin. */
export function FirstScreen() {
  const { data: about } = useAboutQuery();
  const mayDo = useMayDo();
  const [open, opening] = useOpenDemoYardMutation();
  const [yard, setYard] = useState<string | null>(null);
  const [failed, setFailed] = useState(false);

  async function openYard() {
    setFailed(false);
    const answer = await open();
    const { protocol, hostname } = window.location;
    if (answer.data) setYard(`${protocol}//${hostname}:${answer.data.port}/`);
    else setFailed(true);
  }
  if (!mayDo(['setUp', 'everySite']))
    return (
      <main>
        <PageTitle title="Round" />
        <Empty title="No pump to see yet">
          {mayDo('everySite')
            ? 'Whoever sets pumps up in this house has named none yet.'
            : 'None stands at the sites that you see; an owner says which these are.'}
        </Empty>
      </main>
    );
  return (
    <main className="mx-auto w-full max-w-[760px] px-4 pb-10 pt-8">
      <PageTitle title="Begin" />
      <h1 className="text-[32px]">Which pump is the first?</h1>
      <p className="mt-2 max-w-[60ch] text-[17px]">
        Name a pump and say when its oil was changed. From then on Winter Jar counts its runs and says what is due, and
        why.
      </p>
      <LinkButton to="/set-up/add-pump" look="solid" size="field" className="mt-5">
        Add your first pump
      </LinkButton>
      <div className="mt-10 grid gap-8 sm:grid-cols-2">
        {mayDo('house') && (
          <section>
            <h2 className="text-[20px]">You have a file</h2>
            <p className="mt-1">
              A set-up, written by hand or exported elsewhere; a backup; or everything as JSON lines.
            </p>
            <div className="mt-3 flex flex-wrap gap-3">
              <LinkButton to="/set-up/file">Import a set-up</LinkButton>
              <LinkButton to="/backup">Restore a backup</LinkButton>
            </div>
          </section>
        )}
        {about && about.demoDay === null && (
          <section>
            <h2 className="text-[20px]">Look around first</h2>
            <p className="mt-1">Thirteen made-up pumps with six months of history, apart from your own data.</p>
            <div className="mt-3" aria-live="polite">
              {yard ? (
                <a href={yard} target="_blank" rel="noreferrer" className="font-semibold text-ink">
                  The demo yard is open: {yard}
                </a>
              ) : (
                <Button needs="keep" disabled={opening.isLoading} onClick={() => void openYard()}>
                  {opening.isLoading ? 'Opening, this takes a moment …' : 'Open the demo yard'}
                </Button>
              )}
              {failed && <p className="mt-2 font-semibold text-stop">It could not be opened. Try “npm run demo”.</p>}
            </div>
          </section>
        )}
      </div>
      <p className="mt-10 text-[14px] text-ink-2">
        Your data lies in <span className="figure wrap-anywhere">{about?.dataFolder ?? '…'}</span>
      </p>
    </main>
  );
}
