import type { Lathe } from '../../../core/lathe/schema.ts';

/** The arm of change gears that a lathe has. */
export type Arm = NonNullable<Lathe['arm']>;
