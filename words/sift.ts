/** What is said where the list of jobs is sifted. */
export const SIFT_WORDS = {
  group: 'Which jobs, in what order',
  state: 'State',
  lathe: 'Lathe',
  family: 'Family of thread',
  sort: 'In order of',
  any: 'any',
  clear: 'Show all',
  states: {
    all: 'not put away',
    open: 'in hand',
    again: 'to be looked at again',
    finished: 'finished',
    archived: 'put away',
  },
  sorts: { touched: 'last touched', title: 'title', customer: 'customer', thread: 'thread' },
  none: 'No job is like that. Show all, or sift by less.',
} as const;
