import type { FormLaid } from '../../../../core/profile/forms.ts';
import type { ProfileRead } from '../../../../core/profile/types.ts';
import { formName, offText } from '../../../../words/picture.ts';

/** Forms laid over that are offered. */
const OFFERED = 3;

interface Props {
  readonly read: ProfileRead;
  readonly form: FormLaid | null;
  readonly onForm: (form: FormLaid | null) => void;
}

/** Forms that may be laid over the tooth, the likeliest first, each with how far off it is; and none. */
export function FormsRow({ read, form, onForm }: Props) {
  return (
    <div role="group" aria-label="Forms laid over it" className="grid grid-cols-2 gap-2 xl:grid-cols-4">
      {[...read.forms.slice(0, OFFERED), null].map((f) => (
        <button
          key={f ? `${f.form}${f.flipped}` : 'none'}
          type="button"
          aria-pressed={form === f}
          onClick={() => onForm(f)}
          className="min-h-14 rounded-[3px] border border-edge bg-panel px-3 py-1 text-left leading-tight aria-pressed:bg-ink aria-pressed:text-onink"
        >
          <span className="block truncate font-semibold">{f ? formName(f) : 'as found'}</span>
          <span className="num block text-[15px] opacity-85">
            {f ? offText(f.residual) : read.ends ? offText(read.ends.residual) : 'picture only'}
          </span>
        </button>
      ))}
    </div>
  );
}
