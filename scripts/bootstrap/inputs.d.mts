export type Inputs = Record<string, { size: number; mtimeMs: number; hash: string }>;
export function inputsOf(roots: readonly string[], counts: (path: string) => boolean, known?: Inputs): Inputs;
export function sameInputs(a: Inputs, b: Inputs): boolean;
export function readInputs(file: string): Inputs | null;
export function writeInputs(file: string, inputs: Inputs): void;
