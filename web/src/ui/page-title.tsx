/** The page's title in the browser's tab and history. */
export function PageTitle({ title }: { title: string }) {
  return <title>{`${title} · Winter Jar`}</title>;
}
