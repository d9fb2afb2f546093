/** What an address of the shop's network without encryption can't do. */
export const PLAIN_ADDRESS = {
  short: 'This address is not encrypted: work here has limits.',
  long: 'Under an unencrypted name of the network the browser keeps no copy for work without the server, gives no camera, lets the screen go to sleep, and promises nothing of keeping the record: export often. Whoever is on the network can read along.',
  own: 'This browser keeps a shop of its own under this name; jobs are handed over by file or by codes.',
} as const;
