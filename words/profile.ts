import type { ProfileAsk, ProfileView } from '../core/profile/types.ts';

/** What a picture wants, or what is to be borne in mind with it. */
export const PROFILE_ASKS: Readonly<Record<ProfileAsk, string>> = {
  'no-part':
    'No part stands out from its ground: lamp behind it, or a plain cloth under it, and the whole width in view.',
  'nothing-repeats':
    'Nothing repeats along its edge: turn it so that the thread is seen from the side, axis nearly level.',
  'few-teeth': 'Fewer than two whole teeth are in view: step back, or lay it so that more of them are.',
  rack: 'Teeth on one edge and none on the other: a rack, or half of the thread is hidden.',
  'not-in-step': 'The edges are neither in step nor half a pitch apart: one of them is hidden, or it is no thread.',
  knurl: 'The flanks lie flatter than 55 degrees: a knurl, or a thread seen far from its side.',
  blurred: 'The edge is spread over more than a quarter of the depth: focus, hold still, come nearer.',
  'even-or-rings':
    'Both edges are in step: an even number of starts, or turned rings. Look at its end, or follow a groove round.',
  bowed:
    'Both edges bow away from the middle: the lens draws them so. It was taken out; the zoom, from farther off, draws them straight.',
  bent: 'Both edges bow the same way: the part is bent. It was read along its bow.',
  'not-square':
    'Pitch and diameter grow together along it: the camera was not square to the part. It was taken out; square to it is better.',
  'lead-grows':
    'The pitch grows along the part and its diameter does not: a stretched or a worn screw. The pitch is its mean.',
  warped:
    'The picture is bent too far to be trusted: from farther off with the zoom, square to the part, in the middle.',
};

/** How the light went when a picture was taken. */
export const VIEW_NAMES: Readonly<Record<ProfileView, string>> = {
  side: 'square to the axis',
  groove: 'along the groove, as on a projector',
};
