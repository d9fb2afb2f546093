export function chromium(): string | undefined;
