import { Check, CircleDashed, X } from 'lucide-react';

/** Whether something read is as it should be: a mark and a word. */
export function Mark({ ok }: { readonly ok: boolean | null }) {
  if (ok === null) return <CircleDashed role="img" aria-label="not judged" size={22} className="text-ink2" />;
  return ok ? (
    <Check role="img" aria-label="right" size={26} className="text-go" />
  ) : (
    <X role="img" aria-label="wrong" size={26} className="text-stop" />
  );
}
