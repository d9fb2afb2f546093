/** How a field looks: its edge is seen against paper and metal. */
export const inputClass =
  'num min-h-12 w-full rounded-[3px] border border-edge bg-panel px-3 text-lg text-ink placeholder:text-ink2 aria-[invalid=true]:border-stop';
