import { useSyncExternalStore, useState, useEffect } from 'react';
import { onOffline, offlineState } from '../offline/register.ts';
import { isKept, type Room, roomHere, askToKeep } from '../storage/persist.ts';
import { Panel, Button } from '../ui/controls.tsx';
import { isPlainAddress } from '../shell/PlainAddress.tsx';
import { PLAIN_ADDRESS } from '../../words/network.ts';
import { roomText } from '../../words/storage.ts';

/** Whether the browser promised to keep the record. */
export function Kept() {
  const offline = useSyncExternalStore(onOffline, offlineState);
  const [kept, setKept] = useState<boolean | null>(null);
  useEffect(() => {
    isKept().then(setKept, () => setKept(null));
  }, []);
  const [room, setRoom] = useState<Room | null>(null);
  useEffect(() => {
    roomHere().then(setRoom, () => setRoom(null));
  }, []);
  return (
    <Panel title="How safe the record is here">
      <p>
        {kept === true
          ? 'The browser has promised to keep this record, also when the disk runs short.'
          : 'The browser may clear this record when the disk runs short. Ask it to keep it, and export now and then.'}
      </p>
      <p className="mt-2">
        {offline === 'none'
          ? 'No copy of Gelvin for work without its server is kept here yet: it comes when a page is loaded from it.'
          : 'A copy of Gelvin is kept in this browser: it works also with its server stopped and the network off.'}
      </p>
      {isPlainAddress() && (
        <p className="mt-2">
          {PLAIN_ADDRESS.long} {PLAIN_ADDRESS.own}
        </p>
      )}
      {room && <p className="mt-2">{roomText(room)}</p>}
      {kept !== true && (
        <Button className="mt-2" onClick={() => void askToKeep().then(setKept, () => setKept(null))}>
          Ask the browser to keep it
        </Button>
      )}
    </Panel>
  );
}
