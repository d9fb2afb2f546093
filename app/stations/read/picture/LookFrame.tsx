import type { RefObject } from 'react';
import { LOOK_W, type Live } from './useCamera.ts';

interface Props {
  /** Where the device's own camera shows; null: a simulated part is seen. */
  readonly video: RefObject<HTMLVideoElement | null> | null;
  readonly live: Live;
  readonly failed: string | null;
}

/** What the camera sees in its frame, with the axis of what was found in it. */
export function LookFrame({ video, live, failed }: Props) {
  const { read } = live;
  return (
    <div className="relative min-h-60 overflow-hidden rounded-[3px] border-2 border-scribe bg-deep">
      {video ? (
        <video
          ref={video}
          muted
          playsInline
          className="absolute inset-0 size-full object-contain"
          aria-label="What the camera sees"
        />
      ) : live.url ? (
        <img
          src={live.url}
          alt="What the simulated camera sees"
          className="absolute inset-0 size-full object-contain"
        />
      ) : (
        <p className="p-4 text-scribe2">{failed ? '' : 'The camera opens\u2026'}</p>
      )}
      {read?.seen && live.url && (
        <svg
          viewBox={`0 0 ${LOOK_W} ${LOOK_W * 0.625}`}
          className="pointer-events-none absolute inset-0 size-full"
          aria-hidden
        >
          <line
            x1={read.seen.axis[0]}
            y1={read.seen.axis[1]}
            x2={read.seen.axis[2]}
            y2={read.seen.axis[3]}
            stroke="var(--straw)"
            strokeWidth="2.5"
            strokeDasharray="22 5 4 5"
          />
        </svg>
      )}
      <svg
        viewBox="0 0 100 62.5"
        preserveAspectRatio="none"
        className="pointer-events-none absolute inset-0 size-full"
        aria-hidden
      >
        <path
          d="M2 8V2H7M93 2H98V8M98 54.5V60.5H93M7 60.5H2V54.5"
          fill="none"
          stroke="var(--straw)"
          strokeWidth="3"
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      {failed !== null && (
        <p role="alert" className="absolute inset-x-4 top-4 rounded-[3px] bg-panel p-3 text-ink">
          {failed} A file, or a scan, does as well.
        </p>
      )}
    </div>
  );
}
