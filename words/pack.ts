/** What lies in a pack, for who opens it without Gelvin. */
export const PACK_NOTE = `This pack was written by Gelvin.

*.gelvin.json   the documents themselves, plain JSON: Gelvin brings them in, and anything that reads JSON can read them
readings.csv    everything that was read, one row each: mm, degrees, ratios, counts
passes.csv      every pass and spring pass, with where the slides stood
trains.csv      the gear trains chosen, and those proven on each lathe
pictures/       pictures of the parts, by the identity that the documents name them by
set-aside.json  what did not hold and was replaced, as it was found

To bring it in again: Settings & backup, Bring in a file.
`;
