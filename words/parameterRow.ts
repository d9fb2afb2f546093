/** One figure that a lathe is told: what it asks for, what is typed, and how that came. */
export interface ParameterRow {
  readonly name: string;
  readonly value: string;
  readonly how: string;
}
