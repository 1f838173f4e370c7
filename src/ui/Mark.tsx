/** A lump of wax struck off level by its stick. */
export function Mark() {
  return (
    <svg width="26" height="22" viewBox="0 0 26 22" aria-hidden="true">
      <path d="M1 18 H25" stroke="currentColor" strokeWidth="2" />
      <path d="M3 17 C3 10 7 8 12 9 L15 17 Z" fill="var(--wax)" />
      <path d="M12 3 L18 17" stroke="currentColor" strokeWidth="3" strokeLinecap="round" />
    </svg>
  );
}
