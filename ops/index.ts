import { bendOp } from './bend.ts';
import { auditOp, chartOp, diagnoseOp, dialOp, trainsOp } from './gears.ts';
import { identifyOp } from './identify.ts';
import { limitsOp, outlineOp } from './limits.ts';
import type { Op } from './op.ts';
import { editOp, jobOp } from './job.ts';
import { motionOp } from './motion.ts';
import { passesOp } from './passes.ts';
import { pickupOp } from './pickup.ts';
import { pitchOp } from './pitch.ts';
import { planOp } from './plan.ts';
import { profileOp } from './profile.ts';
import { sizeOp } from './size.ts';
import { threadOp } from './thread.ts';
import { toolOp } from './tool.ts';
import { wiresOp } from './wires.ts';

/** Everything the headless door offers. */
export const OPS: readonly Op[] = [
  threadOp,
  pitchOp,
  wiresOp,
  trainsOp,
  dialOp,
  auditOp,
  diagnoseOp,
  chartOp,
  passesOp,
  toolOp,
  bendOp,
  limitsOp,
  outlineOp,
  identifyOp,
  sizeOp,
  planOp,
  pickupOp,
  motionOp,
  profileOp,
  editOp,
  jobOp,
];
export type { Op };
