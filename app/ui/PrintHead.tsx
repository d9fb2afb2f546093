/** What stands at the top of a printed sheet, and nowhere else. */
export function PrintHead({ parts }: { readonly parts: readonly (string | null)[] }) {
  // oxlint-disable-next-line react/purity -- the day on which it is printed
  const date = new Date().toLocaleDateString(undefined, { dateStyle: 'medium' });
  return (
    <p className="print-head hidden border-b border-black pb-1 text-sm print:block">
      {['Gelvin', ...parts.filter((p): p is string => p !== null && p !== ''), date].join(' \u00b7 ')}
    </p>
  );
}
