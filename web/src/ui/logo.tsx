/** The jar of the house. */
export function Logo() {
  return (
    <svg width="22" height="30" viewBox="0 0 22 30" aria-hidden="true">
      <rect x="5" y="1" width="12" height="5" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.75" />
      <rect x="1.5" y="6" width="19" height="23" rx="3.5" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.75" />
      <path d="M2.4 13h17.2v9H2.4z" fill="#e0b352" />
      <path d="M2.4 22h17.2v3.5a2.6 2.6 0 0 1-2.6 2.6H5a2.6 2.6 0 0 1-2.6-2.6z" fill="var(--water-fill)" />
    </svg>
  );
}
