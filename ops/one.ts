import type { Op } from './op.ts';

/** Each operation by itself: who asks for a thread does not wait for the gears to be read. The same names as in OPS, a test says. */
const LOADED: Readonly<Record<string, () => Promise<Op>>> = {
  thread: async () => (await import('./thread.ts')).threadOp,
  pitch: async () => (await import('./pitch.ts')).pitchOp,
  wires: async () => (await import('./wires.ts')).wiresOp,
  trains: async () => (await import('./gears.ts')).trainsOp,
  dial: async () => (await import('./gears.ts')).dialOp,
  audit: async () => (await import('./gears.ts')).auditOp,
  diagnose: async () => (await import('./gears.ts')).diagnoseOp,
  chart: async () => (await import('./gears.ts')).chartOp,
  passes: async () => (await import('./passes.ts')).passesOp,
  tool: async () => (await import('./tool.ts')).toolOp,
  bend: async () => (await import('./bend.ts')).bendOp,
  limits: async () => (await import('./limits.ts')).limitsOp,
  outline: async () => (await import('./limits.ts')).outlineOp,
  identify: async () => (await import('./identify.ts')).identifyOp,
  size: async () => (await import('./size.ts')).sizeOp,
  plan: async () => (await import('./plan.ts')).planOp,
  pickup: async () => (await import('./pickup.ts')).pickupOp,
  motion: async () => (await import('./motion.ts')).motionOp,
  profile: async () => (await import('./profile.ts')).profileOp,
  edit: async () => (await import('./job.ts')).editOp,
  job: async () => (await import('./job.ts')).jobOp,
};
export const OP_NAMES = Object.keys(LOADED);

/** One operation of the door; null: there is none of that name. */
export const loadOp = async (name: string): Promise<Op | null> =>
  Object.hasOwn(LOADED, name) ? ((await LOADED[name]?.()) ?? null) : null;
