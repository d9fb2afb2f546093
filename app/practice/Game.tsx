import { Navigate, useParams } from 'react-router';
import { GAMES } from '../../core/practice/rounds.ts';
import { Groove } from './Groove.tsx';
import { HalfNuts } from './HalfNuts.tsx';
import { Place } from './Place.tsx';
import { Slip } from './Slip.tsx';

const VIEWS = { 'half-nuts': HalfNuts, groove: Groove, slip: Slip, place: Place };

/** One practice by its address. */
export function Game() {
  const { game } = useParams();
  const known = GAMES.find((g) => g === game);
  if (!known) return <Navigate to="/practice" replace />;
  const View = VIEWS[known];
  return <View />;
}
