/** The mark: a thread's own line, scribed in dye, with a straw tip where it is being cut. */
export function Mark() {
  return (
    <svg viewBox="0 0 28 28" className="size-7 shrink-0" aria-hidden>
      <rect width="28" height="28" rx="3" fill="var(--plate)" />
      <path
        d="M3 20 H6 L10 9 H13 L17 20 H20 L24 9"
        fill="none"
        stroke="var(--scribe)"
        strokeWidth="2.4"
        strokeLinejoin="round"
        strokeLinecap="round"
      />
      <circle cx="18.5" cy="20" r="2.6" fill="var(--straw)" />
    </svg>
  );
}
