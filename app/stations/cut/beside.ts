/** What is shown in the drawer beside the card. */
export type CutDrawer = 'happened' | 'plan' | 'ledger' | 'deeper' | 'side';
/** What it is tried with at the machine. */
export type Trying = 'mate' | 'wires';

/** What is open besides the card itself. */
export interface Beside {
  readonly drawer: CutDrawer | null;
  readonly open: (drawer: CutDrawer | null) => void;
  readonly tryIt: (how: Trying | null) => void;
}
