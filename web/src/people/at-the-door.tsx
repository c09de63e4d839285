import { useState, type FormEvent, type ReactNode } from 'react';
import { Logo } from '../ui/logo.js';
import { PageTitle } from '../ui/page-title.js';
import { problemOf } from '../words/problem-words.js';

/** A page of whoever has not come in yet: one thing to do, and nothing of what is inside. */
export function AtTheDoor({ title, children }: { title: string; children: ReactNode }) {
  return (
    <main className="mx-auto flex w-full max-w-[440px] flex-1 flex-col gap-6 px-4 pb-10 pt-8">
      <PageTitle title={title} />
      <p className="flex items-center gap-3 font-head text-[20px] font-bold">
        <Logo /> Winter Jar
      </p>
      <h1 className="text-[28px]">{title}</h1>
      {children}
    </main>
  );
}

/** Over plain http from another machine nothing is typed that others could use. */
export function NotHere() {
  return (
    <div role="alert" className="border-l-4 border-stop bg-sheet p-4">
      <p className="font-semibold">Not over this connection</p>
      <p className="mt-1">
        It is plain http: everyone in the network could read the password along. On the machine that runs Winter Jar,
        start it with <span className="figure">--https</span>; in a network that is all yours,{' '}
        <span className="figure">--plain</span> lets it pass.
      </p>
    </div>
  );
}

/** What is wrong with none of the fields. */
export function WrongAsAWhole({ error, fields = [] }: { error: unknown; fields?: readonly string[] }) {
  const problem = problemOf(error);
  if (!problem || (problem.field !== null && fields.includes(problem.field))) return null;
  return (
    <p role="alert" className="font-semibold text-stop">
      {problem.words}
    </p>
  );
}

/** Inside, with everything read anew as whoever came in. */
export const comeIn = (to: string = window.location.pathname + window.location.search): void => {
  if (to === window.location.pathname + window.location.search) window.location.reload();
  else window.location.assign(to);
};

/** Sends once, by the button or by Enter. */
export function useSending(send: () => Promise<boolean>) {
  const [busy, setBusy] = useState(false);
  const onSubmit = (event: FormEvent) => {
    event.preventDefault();
    if (busy) return;
    setBusy(true);
    void send().then((sent) => !sent && setBusy(false));
  };
  return { busy, onSubmit };
}
