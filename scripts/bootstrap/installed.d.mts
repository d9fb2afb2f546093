export function notInstalled(root?: string): string[];
