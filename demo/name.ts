/** What the demo shop is called: as long as the record has this name, it is nobody's own. */
export const DEMO_SHOP = 'Marlwater Repair';
