/** Places outside the job that Prove points to. */
export const LINKS = { gauges: '/gauges' } as const;
