/** Shape of the rows of the list of jobs; one of another shape is made again. */
export const ROW_VERSION = 4;
