// Leaves Playwright's own counts where .ci/run can add them up.
import { mkdirSync, writeFileSync } from 'node:fs';

export default class {
  counts = { passed: 0, failed: 0 };
  onTestEnd(test, result) {
    if (result.status === 'skipped') return;
    this.counts[result.status === test.expectedStatus ? 'passed' : 'failed'] += 1;
  }
  onError() {
    this.counts.failed += 1;
  }
  onEnd() {
    mkdirSync('out', { recursive: true });
    writeFileSync('out/playwright.json', JSON.stringify(this.counts));
  }
}
