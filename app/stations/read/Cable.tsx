import { Cable as CableIcon } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { useSystem } from '../../store/store.ts';
import { Button, Note, Panel } from '../../ui/controls.tsx';
import { intoArmed } from '../../ui/burst.ts';
import { LengthField } from '../../ui/fields.tsx';

/** Types a reading into the armed field and sends Enter, as a caliper with a keyboard cable does. */
function typeIntoArmed(text: string): boolean {
  let taken = false;
  flushSync(() => {
    taken = intoArmed(text);
  });
  return taken;
}

interface SerialPortLike {
  open: (options: { baudRate: number }) => Promise<void>;
  close: () => Promise<void>;
  readonly readable: ReadableStream<BufferSource> | null;
}
interface SerialLike {
  requestPort: () => Promise<SerialPortLike>;
}
/** Only some browsers offer it. */
const serial = (): SerialLike | null => ('serial' in navigator ? (navigator.serial as SerialLike) : null);

/** A measuring instrument on a cable: the keyboard kind needs nothing; a text-line stream over serial; a simulated caliper. */
export function Cable() {
  const system = useSystem();
  const [trueMm, setTrueMm] = useState(31.6);
  const [said, setSaid] = useState<string | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const [listening, setListening] = useState(false);
  const stop = useRef<(() => void) | null>(null);
  useEffect(() => () => stop.current?.(), []);

  const send = async (): Promise<void> => {
    setFailed(null);
    try {
      const reply = await fetch(`/api/simulated-caliper?trueMm=${trueMm}&system=${system}`);
      if (!reply.ok) throw new Error(`the stand-in answered ${reply.status}`);
      const { text } = (await reply.json()) as { text: string };
      setSaid(text);
      if (!typeIntoArmed(text)) setFailed('No reading is armed.');
    } catch (e) {
      setFailed(
        `The simulated caliper does not answer (${e instanceof Error ? e.message : 'no reason given'}). It is part of the server: npm start.`,
      );
    }
  };

  const listen = async (): Promise<void> => {
    const api = serial();
    if (!api) return;
    try {
      const port = await api.requestPort();
      await port.open({ baudRate: 9600 });
      setListening(true);
      setFailed(null);
      const reader = port.readable?.pipeThrough(new TextDecoderStream()).getReader();
      stop.current = () => {
        void reader?.cancel().then(() => port.close());
        setListening(false);
      };
      let rest = '';
      for (;;) {
        const { value, done } = (await reader?.read()) ?? { value: undefined, done: true };
        if (done) break;
        const lines = (rest + value).split(/\r\n|\r|\n/);
        rest = lines.pop() ?? '';
        for (const line of lines) if (line.trim() !== '' && typeIntoArmed(line.trim())) setSaid(line.trim());
      }
    } catch (e) {
      setListening(false);
      setFailed(`The serial port was not opened: ${e instanceof Error ? e.message : 'no reason given'}.`);
    }
  };

  return (
    <Panel title="On a cable">
      <p className="mb-3 text-ink2">
        An instrument that types like a keyboard needs nothing here: arm a reading and press its button; the reading and
        its Enter land in the armed field, and the next one is armed.
      </p>
      <div className="flex flex-wrap items-end gap-3">
        <div className="w-52">
          <LengthField label="Simulated caliper: the true size is" mm={trueMm} system={system} onCommit={setTrueMm} />
        </div>
        <Button onClick={() => void send()}>
          <CableIcon aria-hidden size={18} /> Send a reading
        </Button>
        {serial() && (
          <Button onClick={() => (listening ? stop.current?.() : void listen())}>
            {listening ? 'Stop listening to the serial port' : 'Listen to a serial port'}
          </Button>
        )}
        {said !== null && (
          <span role="status" className="num text-ink2">
            sent {said}
          </span>
        )}
      </div>
      {failed !== null && (
        <div className="mt-2">
          <Note tone="wrong">{failed}</Note>
        </div>
      )}
    </Panel>
  );
}
