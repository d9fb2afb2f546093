import fc from 'fast-check';

// a property that fails is made small, and that can go on for hours: what was found by then is what is told
fc.configureGlobal({
  interruptAfterTimeLimit: Number(process.env.FAULTS_LIMIT_MS ?? 240_000),
  markInterruptAsFailure: true,
});
