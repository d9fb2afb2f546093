/** What is said where a job is put on paper. */
export const PAPER_WORDS = {
  title: 'Paper',
  lead: 'The job as sheets: for the part, the lathe and the bench. What changes later is on a newer sheet.',
  choice: 'Which sheets, on what paper',
  sheets: 'Sheets',
  size: 'Paper',
  pages: 'The pages as they will lie on the paper',
  none: 'No sheet is chosen.',
  print: 'Print',
  scale:
    'True to scale at 100 %, without \u201cfit to page\u201d: lay a rule on the 150 mm under the head. A printer that is out is made up for under Prove, Comparator.',
  count: (sheets: number, pages: number): string =>
    `${sheets} sheet${sheets === 1 ? '' : 's'} on ${pages} page${pages === 1 ? '' : 's'}.`,
  page: (name: string, n: number, of: number): string => (of === 1 ? name : `${name}, page ${n} of ${of}`),
};
